import type { Page, Trainer } from './field';

/** The half of the screen that says met. */
export const met = (page: Page) => page.getByRole('button', { name: 'Met', exact: true });

/** A pilot with one open weakness, on the page of that weakness. */
export async function drilled(trainer: Trainer, page: Page, name: string): Promise<string> {
  const pilot = await trainer.addPilot(name, '6');
  await trainer.today();
  await trainer.log(pilot, 'Near-miss', 'Stick handling', 'Over-control');
  await trainer.confirm('Over-control');
  return pilot;
}

/** Makes a pilot's private link. @returns its address */
export async function linkOf(page: Page, pilot: string): Promise<string> {
  await page.goto('/pilots');
  await page.getByRole('link', { name: pilot }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  return (await page.getByText(/\/own#/).textContent())!;
}

interface Counted {
  readonly reps: readonly {
    readonly takenBack: boolean;
    readonly missReason: string | null;
    readonly sessionId: string | null;
    readonly level: number;
  }[];
}
export const weaknessId = (page: Page) => /weakness\/([^/?]+)/.exec(page.url())![1]!;
export const counted = async (trainer: Trainer, id: string) =>
  ((await (await trainer.context.request.get(`/api/weaknesses/${id}`)).json()) as Counted).reps.filter(
    (each) => !each.takenBack,
  );
