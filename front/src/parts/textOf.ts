/** The text of a file in whatever common encoding: a spreadsheet saves UTF-16 or Windows-1252 as readily as UTF-8. */
export function textOf(bytes: ArrayBuffer): string {
  const first = new Uint8Array(bytes.slice(0, 64))
  const begins = (...marks: number[]) => marks.every((mark, i) => first[i] === mark)
  // Without a mark, every other byte of plain text is nothing.
  const nothing = (odd: number) =>
    first.length > 3 && [...first].filter((byte, i) => i % 2 === odd && byte === 0).length > first.length / 4
  if (begins(0xff, 0xfe) || nothing(1)) return new TextDecoder('utf-16le').decode(bytes)
  if (begins(0xfe, 0xff) || nothing(0)) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
