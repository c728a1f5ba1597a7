import type { Page } from '@playwright/test'

/** A file as a rider has it. */
interface ChosenFile {
  readonly name: string
  readonly mimeType: string
  readonly buffer: Buffer
}

/** Counts what a rider presses: pointers and keys, as the browser sees them; what is written in a field is no press. */
export async function countPresses(page: Page): Promise<() => Promise<number>> {
  let before = 0
  await page.exposeFunction('ragTinPressed', () => before++)
  await page.addInitScript(() => {
    const pressed = (event: Event) => {
      if (event instanceof KeyboardEvent && event.key.length === 1) return
      void (window as unknown as { ragTinPressed: () => Promise<void> }).ragTinPressed()
    }
    for (const kind of ['pointerdown', 'keydown']) addEventListener(kind, pressed, { capture: true })
  })
  return () => Promise.resolve(before)
}

/** Presses a button that has a file chosen, and chooses one. */
export async function chooseFile(page: Page, button: string, file: ChosenFile): Promise<void> {
  const choosing = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: button }).click()
  await (await choosing).setFiles(file)
}
