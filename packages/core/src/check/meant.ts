import type { TextRange } from '../text-range.ts'

/** Words by which two things are told apart on purpose: places, turns, pictures within the picture. */
const APART =
  /\b(?:while|whereas|whilst|although|though|despite|yet|but|behind|beyond|outside|inside|indoors|outdoors|(?:seen|glimpsed|viewed|visible) through|through (?:an?|the|its|his|her|their) (?:\p{L}+ )?(?:window|windows|door|doorway|arch|archway|glass|gap|hole|curtain|gate|porthole)|half|halves|together|at once|at the same time|turning|turns|becoming|becomes|fading|melting|changing|against|instead|opposite|meets|meeting|painting of|picture of|photograph of|poster of|postcard of|dream(?!y)\p{L}*|remember\p{L}*|memory|imagin\p{L}*|after|before|since|until|from .{1,30} to|contrast\p{L}*|versus|unlike|accent|accents|except|only|apart from|one part|the other|on one side)\b/iu
/** Words by which the second of two things is no more than compared or seen in a glass; they count only close before it. */
const COMPARED = /\b(?:like|as if|almost|reflect\p{L}*|mirror\p{L}*)\b[^,;]*$/iu
/** Right after the second, words that put it elsewhere: “fog in the valley, clear sky above it”. */
const BESIDE = /^\s*(?:(?:above|below|around|over) (?:it|them|her|him|his|its|the (?:fog|mist|clouds?|rain|storm|smoke|haze))|(?:beyond|behind|outside|inside)(?=\s*(?:[,.;:]|$| (?:it|them|her|him)\b))|over there|on the other side|in the (?:far )?distance|at its back)\b/iu
/** Words that make the whole picture one of two things. */
export const DIVIDED = /\b(?:diptych|triptych|split[- ](?:screen|image|composition)|side by side|before and after|time[- ]?lapse|four seasons|seasons|double exposure|multiple exposure|sequence|(?:two|three|four|comic|several)[- ]panels?|panels|collage|montage|grid|series of|half .{1,40} half|one half|spot colou?r|selective colou?r|colou?r accent|juxtapos\p{L}*|day and night|night and day|day-to-night|transition\p{L}*|passage of time|surreal\p{L}*|turnaround|(?:character|sticker|model|expression|pose) sheet|(?:several|multiple|many|all) (?:views|angles)|split (?:picture|view|scene)|(?:on|to) the left .{1,60} (?:on|to) the right)\b/iu
/** What ends a sentence: only within one are two things set against one another by what stands before both. */
const SENTENCE_END = /[.!?;\n]/

/** Whether two places of a text are set against one another on purpose. */
export function isMeant(text: string, a: TextRange, b: TextRange): boolean {
  const [first, last] = a.start < b.start ? [a, b] : [b, a]
  if (DIVIDED.test(text)) return true
  // “A black-and-white photograph of”: that is this picture, not one within it.
  const between = text.slice(first.end, last.start).replace(/^(?:[\s-]+\p{L}+){0,2}\s+(?:painting|picture|photograph|photo|poster|postcard) of\b/iu, '')
  if (APART.test(between) || COMPARED.test(between) || BESIDE.test(text.slice(last.end))) return true
  // “while” and “half” may stand before both.
  const start = Math.max(...[...text.slice(0, first.start).matchAll(/[.!?;\n]/g)].map((match) => match.index + 1), 0)
  return !SENTENCE_END.test(between) && /\b(?:while|although|though|despite|both|half|reflected|dreams?|imagines?)\b/i.test(text.slice(start, first.start))
}
