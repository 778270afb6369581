import type { Facet, Random } from '@idolon/core'
import { type Facts, factsOf, PROXY_EDGE, View } from '@idolon/core/look'
import sharp from 'sharp'
import { choose } from './asked.ts'
import { CAPTION_ERRORS } from './caption-errors.ts'

/** What is said of one facet: what it takes for true, and what it says where it errs. */
interface Remark {
  facet: Facet
  right: string | undefined
  wrong: readonly string[]
}

async function measured(dataUrl: string): Promise<Facts> {
  const bytes = Buffer.from(dataUrl.slice(dataUrl.indexOf(',') + 1), 'base64')
  const { data, info } = await sharp(bytes, { limitInputPixels: 50_000_000 }).removeAlpha().toColourspace('srgb').resize(PROXY_EDGE, PROXY_EDGE, { fit: 'inside', withoutEnlargement: true }).raw().toBuffer({ resolveWithObject: true })
  return factsOf(new View({ width: info.width, height: info.height, rgb: data }))
}

const GREYS = new Set<string>(['grey', 'black', 'white'])
const coloursOf = ({ palette }: Facts) => [...new Set([...palette].sort((x, y) => Number(GREYS.has(x.name)) - Number(GREYS.has(y.name)) || y.share - x.share).map(({ name }) => name))].slice(0, 2)

/** What it makes of a picture that it cannot name the things in: how it is filled tells a place from a thing. */
function remarksOn(facts: Facts, florid: boolean): Remark[] {
  const colours = coloursOf(facts)
  const { key, temperature, side, horizon, focus, contrast, lightSide, mono, space } = facts
  const low = key === 'low'
  return [
    { facet: 'subject', right: horizon !== null ? 'a landscape' : facts.busy ? 'a scene full of things' : side ? 'a single subject' : undefined, wrong: ['an old woman', 'a small dog', 'two men'] },
    { facet: 'detail', right: undefined, wrong: ['a brass lamp', 'a bicycle', 'a red umbrella'] },
    { facet: 'moment', right: low ? 'at night' : temperature === 'warm' ? 'in the late afternoon' : key === 'high' ? 'in bright daylight' : undefined, wrong: low ? ['at noon', 'in bright daylight'] : ['at dusk', 'at night', 'by moonlight'] },
    { facet: 'framing', right: side === 'centre' ? 'centred composition' : side ? `subject on the ${side}` : horizon !== null ? (horizon < 0.45 ? 'high horizon' : 'low horizon') : undefined, wrong: [side === 'left' ? 'subject on the right' : 'subject on the left', 'symmetrical composition', 'seen from above'] },
    { facet: 'framing', right: space ? 'lots of empty space' : undefined, wrong: ['crowded composition'] },
    { facet: 'light', right: low ? 'low-key light' : key === 'high' ? 'high-key light' : lightSide ? `light from ${lightSide === 'above' ? 'above' : `the ${lightSide}`}` : contrast === 'high' ? 'strong contrast' : 'even light', wrong: low ? ['high-key light', 'bright and airy'] : ['low-key light', 'lit from behind', lightSide?.endsWith('left') ? 'light from the right' : 'light from the left'] },
    { facet: 'colour', right: mono ? 'monochrome' : colours.length ? `palette of ${colours.join(' and ')}` : undefined, wrong: mono ? ['vivid colours'] : ['palette of crimson and gold', 'black and white', 'palette of violet and lime'] },
    { facet: 'colour', right: mono || temperature === null || temperature === 'neutral' ? undefined : `${temperature} tones`, wrong: [temperature === 'warm' ? 'cool tones' : 'warm tones'] },
    { facet: 'medium', right: focus === 'shallow' || facts.grain ? 'photograph' : facts.texture === 'smooth' && !facts.busy ? 'flat print' : 'painting', wrong: ['charcoal drawing', 'watercolour painting', 'photograph'] },
    { facet: 'technique', right: focus === 'shallow' ? 'shallow depth of field' : focus === 'deep' ? 'deep focus' : undefined, wrong: [focus === 'shallow' ? 'everything in focus' : 'shallow depth of field', 'film grain'] },
    { facet: 'mood', right: florid ? (low ? 'a hushed, brooding mood' : 'a bright and hopeful mood') : undefined, wrong: [] },
  ]
}

const LINKS = ['It shows', 'One sees', 'There is'] as const
const CLOSERS = ['and all of it breathes', 'as if the moment would last', 'with a quiet grace'] as const

/** A picture described: measured, and worded with errors at the rates of its model; terse or florid, as that model is. */
export async function captionOf(dataUrl: string, random: Random, { model, terse }: { model: string; terse: boolean }): Promise<string> {
  const rates = CAPTION_ERRORS[model] ?? CAPTION_ERRORS['quoin-1']!
  const said = remarksOn(await measured(dataUrl), !terse).flatMap(({ facet, right, wrong }) => {
    const errs = wrong.length > 0 && random() < (rates[facet] ?? 0)
    // Of what it sees nothing of it may still speak, and is wrong then.
    const text = errs ? choose(wrong, random) : right
    return text === undefined ? [] : [{ facet, text }]
  })
  if (terse) return said.map(({ text }) => text).join(', ')
  const of = (...facets: Facet[]) => said.filter(({ facet }) => facets.includes(facet)).map(({ text }) => text)
  const sentences = [
    [`${choose(LINKS, random)} ${of('subject')[0] ?? 'a scene'}`, ...of('moment')].join(' ') + of('detail').map((text) => ` with ${text}`).join(''),
    of('light', 'colour').length ? `Bathed in ${of('light', 'colour').join(', ')}, ${choose(CLOSERS, random)}` : '',
    of('framing').length ? `The framing is ${of('framing').join(', ')}` : '',
    [...of('medium'), ...of('technique')].length ? `A ${[...of('medium'), ...of('technique')].join(', ')}` : '',
    ...of('mood').map((text) => `Over it lies ${text}`),
  ]
  return sentences.filter(Boolean).map((sentence) => `${sentence}.`).join(' ')
}
