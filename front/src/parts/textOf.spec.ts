import { describe, expect, it } from 'vitest'
import { fitted } from './photo'
import { textOf } from './textOf'

const bytes = (...values: number[]) => new Uint8Array(values).buffer
const utf16 = (text: string, little: boolean) =>
  [...text].flatMap((sign) => {
    const code = sign.charCodeAt(0)
    return little ? [code & 255, code >> 8] : [code >> 8, code & 255]
  })

describe('the text of a file', () => {
  it('is read in whatever encoding a spreadsheet saved it', () => {
    expect(textOf(new TextEncoder().encode('time,°C\n').buffer as ArrayBuffer)).toBe('time,°C\n')
    expect(textOf(bytes(0x74, 0x2c, 0xb0, 0x43))).toBe('t,°C')
    expect(textOf(bytes(0xff, 0xfe, ...utf16('t,°C', true)))).toBe('t,°C')
    expect(textOf(bytes(0xfe, 0xff, ...utf16('t,°C', false)))).toBe('t,°C')
    expect(textOf(bytes(...utf16('time,ph\n1,2', true)))).toBe('time,ph\n1,2')
    expect(textOf(bytes())).toBe('')
  })
})

describe('a photo', () => {
  it('keeps its shape when it is scaled down, and is never scaled up', () => {
    expect(fitted(4000, 3000)).toEqual([1600, 1200])
    expect(fitted(300, 200)).toEqual([300, 200])
    expect(fitted(10000, 1)).toEqual([1600, 1])
  })
})
