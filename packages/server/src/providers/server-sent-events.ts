/** The data of server-sent events as they arrive (HTML Living Standard, 9.2), whatever pieces the bytes come in. */
export async function* eventsIn(body: AsyncIterable<Uint8Array>, limit: number): AsyncGenerator<string> {
  const decoder = new TextDecoder()
  let rest = ''
  let size = 0
  for await (const chunk of body) {
    size += chunk.length
    if (size > limit) throw new RangeError('The stream is longer than it may be.')
    rest += decoder.decode(chunk, { stream: true })
    const blocks = rest.split(/\r?\n\r?\n/)
    rest = blocks.pop() ?? ''
    for (const block of blocks) {
      const data = block.split(/\r?\n/).flatMap((line) => (line.startsWith('data:') ? [line.slice(5).replace(/^ /, '')] : []))
      if (data.length) yield data.join('\n')
    }
  }
}
