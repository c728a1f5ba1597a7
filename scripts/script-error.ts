/** Something that ends a script, told in a sentence that says what to do. */
export class ScriptError extends Error {}
