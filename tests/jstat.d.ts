/** What the tests ask of the library, whose package says nothing of its types. */
declare module 'jstat' {
  interface Quantiles {
    inv(chance: number, a: number, b: number): number
  }
  const library: { readonly jStat: { readonly gamma: Quantiles; readonly beta: Quantiles } }
  export default library
}
