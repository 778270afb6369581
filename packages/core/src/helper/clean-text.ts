/** Markup that a model puts around words, and what must not reach a text: tags, fences, signs that cannot be seen. */
const TAG = /<\/?[a-z!][^<>]{0,400}>/giu
const SCRIPT = /<(script|style|iframe|object|svg)\b[\s\S]{0,20000}?(?:<\/\1\s*>|$)/giu
const HIDDEN = /(?![\n\r\t])\p{Cc}|\p{Cf}|\p{Cs}|[\uFFFE\uFFFF]/gu

/** Words as plain text: no markup, no code fence, no quotes around the whole, no label before it. */
export function cleanText(text: string): string {
  let clean = text
    .replace(SCRIPT, ' ')
    .replace(/!\[[^\]]*\]\([^)]*\)/g, ' ')
    .replace(/\[([^\]]{1,200})\]\((?:https?|javascript|data):[^)]*\)/gi, '$1')
    .replace(TAG, ' ')
    .replace(HIDDEN, '')
    .replace(/```[a-z]*\n?|```/gi, '')
    .replace(/(\*\*|__)(?=\S)([^*_\n]{1,400}?\S)\1/g, '$2')
    .replace(/^#{1,6}\s+/gm, '')
    .replace(/[ \t\u00A0]+/g, ' ')
    .replace(/ ([,.;:!?])/g, '$1')
    .trim()
  clean = clean.replace(/^(?:(?:image |picture )?(?:prompt|answer|result|output)|final prompt|idea \d+)\s*:\s*/i, '')
  clean = clean.replace(/^(?:\d{1,2}[.)]|[-*•])\s+/, '')
  const quoted = /^["“«]([^"“”«»]+)["”»][.]?$/.exec(clean)
  return (quoted?.[1] ?? clean).trim()
}

/** Whether an answer is a picture, or the address of one, instead of words. */
export const isPicture = (raw: string): boolean => /^\s*(?:!\[[^\]]*\]\([^)]*\)\s*)+$/.test(raw) || /data:image\/[a-z+]+;base64,[A-Za-z0-9+/=]{200}/.test(raw) || /^\s*(?:\u0089PNG|%PNG|GIF8|iVBORw0KGgo)/.test(raw)
