/** Lets the page draw and answer before long work goes on. */
export function aTurn(): Promise<void> {
  return new Promise((go) => setTimeout(go))
}
