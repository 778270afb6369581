/** Offers a text as a file to keep. */
export const download = (name: string, text: string, type = 'application/json'): void => save(name, new Blob([text], { type }))

/** Offers bytes as a file to keep. */
export function save(name: string, bytes: Blob): void {
  const url = URL.createObjectURL(bytes)
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  // The browser has begun by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** A name for a file: the words of a title, without what a file system minds. */
export const fileName = (title: string, ending: string): string => `${title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '').slice(0, 60) || 'untitled'}.${ending}`
