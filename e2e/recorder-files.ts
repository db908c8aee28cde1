import { chanceOf, recordStory } from '../core/src/second-model/flights';
import { LESSONS } from '../core/src/second-model/lessons';
import { MADE_UP_RECORDERS } from '../core/src/recorded-flight/stand-ins/recorders';
import { endingOf, writtenBy } from '../core/src/recorded-flight/stand-ins/write';
import type { Page } from '@playwright/test';

/** Files as made-up recorders write them, and how a trainer picks one. */

const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };
/** The lesson in which it swings to and fro. */
export const SWINGS = 2;

export function fileOf(recorderName: string, lesson = SWINGS) {
  const recorder = MADE_UP_RECORDERS.find(({ name }) => name === recorderName)!;
  const { log } = recordStory(LESSONS[lesson]!(lesson).story, EXACT, 5);
  return {
    name: `${recorder.name}.${endingOf(recorder)}`,
    mimeType: 'application/octet-stream',
    buffer: Buffer.from(writtenBy(recorder, log, chanceOf(40).normal)),
  };
}

export async function bringIn(
  page: Page,
  file: { name: string; mimeType: string; buffer: Buffer },
): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^(Pick a file|Another file)$/ }).click();
  await (await chooser).setFiles(file);
}
