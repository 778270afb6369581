import type { TextRange } from '../../text-range.ts'

/** Praise and resolution: words that say nothing about the picture. */
const WHOLE = `
masterpiece, masterpieces, masterwork, best quality, high quality, highest quality, top quality, good quality, great quality, excellent quality, premium quality, professional quality, museum quality, gallery quality, magazine quality, photorealistic quality, vector quality, perfect quality, insane quality, superb quality,
award winning, award-winning, prize-winning, trending, viral, popular, featured, contest winner, critically acclaimed, world-class, top-tier, state of the art, best shot,
highly detailed, very detailed, extremely detailed, ultra detailed, ultra-detailed, hyper detailed, hyperdetailed, super detailed, insanely detailed, incredibly detailed, intricately detailed, finely detailed, richly detailed, high detail, ultra detail, insane detail, amazing detail, amazing details, intricate details, intricate detail, sharp details, extreme detail, maximum detail, lots of detail, rich detail, detailed, intricate, hyper-detailed,
high resolution, high-resolution, hi-res, highres, high res, ultra high resolution, super resolution, uhd, ultra hd, ultra-hd, ultra high definition, full hd, fullhd, hd, hdr, qhd, hq, 2k, 4k, 5k, 6k, 8k, 12k, 16k, 32k, 1080p, 2160p, 4k resolution, 8k resolution, 16k resolution, 4k uhd, 8k uhd, 8k wallpaper, 4k wallpaper, wallpaper quality, retina,
stunning, breathtaking, gorgeous, amazing, awesome, incredible, spectacular, magnificent, marvelous, marvellous, fantastic, superb, exquisite, flawless, perfect, impressive, mesmerizing, mesmerising, jaw-dropping, mind-blowing, eye-catching, visually striking, visually stunning, aesthetic, aesthetically pleasing, beautiful, very beautiful, extremely beautiful, absolutely beautiful, wonderful, brilliant, outstanding, remarkable, extraordinary, unbelievable, phenomenal, splendid, mouth-watering,
professional, professionally shot, expertly crafted, meticulously crafted, well composed, well-composed, perfect composition, perfect anatomy, perfect lighting, perfect face, ultra realistic, ultra-realistic, super realistic, extremely realistic, incredibly realistic, hyper realistic, hyper-realistic, highly realistic, very realistic, ultra sharp, ultra-sharp, super sharp, crystal clear, insanely sharp, high definition, cool, epic quality, super cute, very cute, so cute, extremely cute, high fidelity, true to life, lifelike quality, unique, creative, original, clean
`
const words = WHOLE.split(/[,\n]/).map((term) => term.trim()).filter(Boolean)
/** Of these only the ones that are praise wherever they stand; the rest only as a phrase of their own. */
const ANYWHERE = new Set(
  words.filter((term) => /quality|detailed|resolution|winning|^trending|^masterp|^masterw|^\d+k|hd$|hdr|^hq$|hi-?res|stunning|breathtaking|^(?:ultra|hyper|super|insanely|incredibly|extremely|highly|very)[- ]|gorgeous|jaw-dropping|mind-blowing|definition/.test(term) && !['detailed'].includes(term)),
)
const ALONE = new Set(words)
const INTENSIFIERS = new Set('very, really, so, extremely, ultra, super, hyper, highly, incredibly, absolutely, truly, insanely, most, more, and, with, in, quality, resolution, detail, details, image, render, shot'.split(', '))

const ANYWHERE_PATTERN = new RegExp(
  String.raw`(?<![\p{L}\p{N}-])(?:${[...ANYWHERE]
    .sort((a, b) => b.length - a.length)
    .map((term) => term.replace(/[.*+?^$()|[\]\\]/g, '\\$&').replaceAll(' ', '[ -]'))
    .join('|')})(?![\p{L}\p{N}-])`,
  'giu',
)
/** Words that praise begins with: a segment with none of them has none. */
const FIRST_WORDS = new Set(words.map((term) => /^[\p{L}\p{N}]+/u.exec(term)?.[0] ?? ''))
const mayHold = (text: string) => (text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).some((word) => FIRST_WORDS.has(word))
const SEGMENT = /[^,.;:!?\n|()[\]{}]+/gu

/** Praise in a stretch of text: whole phrases between punctuation that are nothing else, and words that are praise wherever they stand. */
export function findPraise(text: string): TextRange[] {
  const found: TextRange[] = []
  const take = (start: number, end: number) => {
    if (found.every((other) => other.end <= start || other.start >= end)) found.push({ start, end })
  }
  for (const match of text.matchAll(SEGMENT)) {
    const [segment] = match
    if (!mayHold(segment)) continue
    const said = segment.trim().toLowerCase().replace(/\s+/g, ' ')
    if (ALONE.has(said) || isAllPraise(said)) {
      const start = match.index + segment.length - segment.trimStart().length
      take(start, start + segment.trim().length)
    } else for (const inside of segment.matchAll(ANYWHERE_PATTERN)) take(match.index + inside.index, match.index + inside.index + inside[0].length)
  }
  return found.sort((a, b) => a.start - b.start)
}

function isAllPraise(said: string): boolean {
  const parts = said.split(' ')
  return parts.length <= 6 && parts.some((part) => ALONE.has(part)) && parts.every((part) => ALONE.has(part) || INTENSIFIERS.has(part))
}
