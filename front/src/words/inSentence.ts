/** A name within a sentence: small at its start, but signs stay as they are written, as pH and KH. */
export const inSentence = (name: string) =>
  /^[A-Z][a-z ]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name
