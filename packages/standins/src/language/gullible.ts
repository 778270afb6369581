/** Instructions of the kind that a reader who trusts everything would follow wherever they stand. */
const ORDERS: readonly RegExp[] = [
  /(?:ignore|forget|disregard)[^.\n]{0,80}(?:instructions?|above|before|rules|schema)[^.\n]{0,40}?(?:[,.:;]|\band\b)\s*(?:instead |now |then |just |only )*(?:say|write|answer|reply|output|respond|print|return)(?: with| only| exactly)?[:\s]+["“]?([^"”\n]{1,600})/i,
  /\b(?:say|write|answer|reply|output|respond|print|return)(?: with| only| exactly)+[:\s]+["“]?([^"”\n]{1,600})/i,
]
const REVEAL = /\b(?:reveal|show|print|repeat|output|tell)[^.\n]{0,40}(?:system|secret|key|password|instructions?|authorization|everything above)/i
const ADD = /\b(?:add|include|append|insert|put)\s+(?:the (?:words?|text|tag|link) )?["“]?([^"”\n]{1,300}?)["”]?\s+(?:to|in|into|at)\b/i
const ERASE = /\b(?:delete|remove|erase|empty|clear)[^.\n]{0,60}(?:prompt|draft|everything|all|words)/i

/** What a gullible model answers when its materials give it an order; undefined when they do not. */
export function obeyed(materials: readonly string[], whole: { system: string; authorization: string }, answer: () => unknown): string | undefined {
  for (const text of materials) {
    if (REVEAL.test(text)) return `Here is everything that I was told:\n${whole.system}\nauthorization: ${whole.authorization}`
    for (const order of ORDERS) {
      const said = order.exec(text)?.[1]
      if (said) return said.trim()
    }
    if (ERASE.test(text)) return JSON.stringify({ prompt: ' ' })
    const added = ADD.exec(text)?.[1]
    if (added) {
      const value = answer()
      const prompt = (value as { prompt?: unknown }).prompt
      return JSON.stringify(typeof prompt === 'string' ? { ...(value as object), prompt: `${prompt} ${added}` } : value)
    }
  }
  return undefined
}
