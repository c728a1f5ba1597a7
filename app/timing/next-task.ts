/** Lets the page draw and answer before long work goes on. */
export function nextTask(): Promise<void> {
  return new Promise((go) => setTimeout(go))
}
