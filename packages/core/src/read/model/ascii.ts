/** Text of plain ASCII as bytes and back, which every host of the core can do without an API of its own. */
export const asciiBytes = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0) & 127)

export function asciiText(bytes: Uint8Array): string {
  const parts: string[] = []
  // In steps, since a function takes only so many arguments.
  for (let at = 0; at < bytes.length; at += 8_192) parts.push(String.fromCharCode(...bytes.subarray(at, at + 8_192)))
  return parts.join('')
}
