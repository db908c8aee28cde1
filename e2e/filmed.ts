import type { Page } from '@playwright/test';

/** Some seconds of a counter, as a phone films it: made by the browser itself. */
export async function filmed(page: Page): Promise<Buffer> {
  const text = await page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [160, 90];
        const pen = canvas.getContext('2d')!;
        const recorder = new MediaRecorder(canvas.captureStream(10), { mimeType: 'video/webm' });
        const parts: Blob[] = [];
        recorder.ondataavailable = ({ data }) => parts.push(data);
        recorder.onstop = () => {
          const reader = new FileReader();
          reader.onload = () => resolve((reader.result as string).split(',')[1]!);
          reader.readAsDataURL(new Blob(parts));
        };
        let nth = 0;
        const draw = setInterval(() => {
          pen.fillStyle = nth % 2 === 0 ? 'white' : 'black';
          pen.fillRect(0, 0, 160, 90);
          nth += 1;
        }, 100);
        recorder.start();
        setTimeout(() => {
          clearInterval(draw);
          recorder.stop();
        }, 4_000);
      }),
  );
  return Buffer.from(text, 'base64');
}
