import { expect, it } from 'vitest'
import { decoded } from './read-text.ts'

it.each<[string, number[], string]>([
  ['UTF-8', [0x63, 0x61, 0x66, 0xc3, 0xa9], 'café'],
  ['UTF-8 with a mark', [0xef, 0xbb, 0xbf, 0x61], 'a'],
  ['UTF-16', [0xff, 0xfe, 0x63, 0, 0xe9, 0], 'cé'],
  ['Windows-1252', [0x63, 0x61, 0x66, 0xe9], 'café'],
])('reads %s', (_, bytes, text) => {
  expect(decoded(new Uint8Array(bytes), 'x.csv')).toBe(text)
})
it('refuses what is no text', () => {
  expect(() => decoded(new Uint8Array([0x50, 0x4b, 3, 4, 0, 0]), 'x.zip')).toThrow(/x\.zip is no text file/)
})
