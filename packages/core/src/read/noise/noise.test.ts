import { describe, expect, it } from 'vitest'
import { findLeadIns } from './lead-in.ts'
import { findLeaveOuts } from './leave-out.ts'
import { findPraise } from './praise.ts'
import { findSettings } from './setting.ts'

const cut = (text: string, ranges: { start: number; end: number }[]) => ranges.map(({ start, end }) => text.slice(start, end))

describe('settings', () => {
  const settings = (text: string) => Object.assign({}, ...findSettings(text).map((found) => found.settings)) as unknown
  it('are read in many spellings, by the trade’s words', () => {
    expect(settings('seed 7, steps: 30, guidance_scale=6.5')).toEqual({ seed: 7, steps: 30, guidance: 6.5 })
    expect(settings('a fox --aspect 16:9 --seed 99')).toEqual({ aspectRatio: '16:9', seed: 99 })
    expect(settings('Steps: 28, Guidance: 7, Size: 512x768')).toEqual({ steps: 28, guidance: 7, width: 512, height: 768 })
    expect(settings('aspect ratio of 3:2. Number of images: 4')).toEqual({ aspectRatio: '3:2', count: 4 })
    expect(settings('w=1024 h=576')).toEqual({ width: 1024, height: 576 })
  })
  it('are a ratio behind any name when they look like one', () => {
    expect(settings('a fox --shape 4:5')).toEqual({ aspectRatio: '4:5' })
  })
  it('of unknown meaning are kept as typed', () => {
    expect(settings('--warp 600 --method smooth')).toEqual({ warp: 600, method: 'smooth' })
  })
  it('are not what only looks like one', () => {
    expect(findSettings('85mm f/2.8, shot at 1/1000, in 1920, two steps up, a woman of 40, seed heads, width of the river')).toEqual([])
  })
})

describe('leave-outs', () => {
  const entries = (text: string) => findLeaveOuts(text).flatMap((found) => found.entries)
  it('are bare words, whatever introduces them', () => {
    expect(entries('a fox. Negative: people, (text:1.2), blurry')).toEqual(['people', 'text', 'blurry'])
    expect(entries('a fox, no people, no text.')).toEqual(['people', 'text'])
    expect(entries("Please don't include any cars or power lines.")).toEqual(['cars', 'power lines'])
    expect(entries('a fox --without birds, logos --seed 3')).toEqual(['birds', 'logos'])
    expect(entries('Avoid: hands, text\nseed 4')).toEqual(['hands', 'text'])
    expect(entries('A village. No cars or power lines.')).toEqual(['cars', 'power lines'])
  })
  it('are not composition', () => {
    expect(entries('centred, lots of negative space, boats avoid the rocks')).toEqual([])
  })
  it('end where settings begin', () => {
    expect(entries('Negative: blur, low quality | Steps 30 | Guidance 8')).toEqual(['blur', 'low quality'])
    expect(entries('negative: blur, frame. Steps: 20, seed 1')).toEqual(['blur', 'frame'])
  })
  it('are faults that nobody asks for, though nothing introduces them', () => {
    expect(entries('a harbour at dusk, oil sketch, ((watermark)), low resolution, extra fingers')).toEqual(['watermark', 'low resolution', 'extra fingers'])
    expect(entries('ugly duckling in a pond, low resolution sensor, deformed iron gate')).toEqual([])
  })
  it('stand behind a heading within a line', () => {
    expect(entries('### Prompt an owl ### Leave out frames, blur ### Settings steps: 20')).toEqual(['frames', 'blur'])
  })
  it('are not the words of a thing that lacks something', () => {
    expect(entries('a knight without a helmet stands in no man’s land')).toEqual([])
  })
})

describe('praise', () => {
  const praise = (text: string) => cut(text, findPraise(text))
  it('is found as a phrase of its own, and the surest of it anywhere', () => {
    expect(praise('a fox, masterpiece, best quality, 8k, very beautiful')).toEqual(['masterpiece', 'best quality', '8k', 'very beautiful'])
    expect(praise('a stunning photograph of a fox')).toEqual(['stunning'])
  })
  it('is not an adjective that belongs to a thing', () => {
    expect(praise('a clean white plate, a beautiful garden, cool shade')).toEqual([])
  })
})

describe('lead-ins', () => {
  const leads = (text: string) => cut(text, findLeadIns(text, true))
  it('are instructions to draw, however they are put', () => {
    for (const lead of ['Create an image of', 'Please generate a realistic photo of', "I'd like a picture that shows", 'Can you draw', 'The image shows', 'Prompt:']) {
      expect(leads(`${lead} a fox in snow`)[0], lead).toMatch(/\S/)
    }
    expect(leads('Create an image of a fox')).toEqual(['Create an image of'])
  })
  it('are not the subject’s own doing, nor a picture’s medium', () => {
    for (const text of ['Paint drips down a wall', 'A girl draws a map', 'Oil painting of a fox', 'Show horse in a ring', 'A photo of a fox']) expect(leads(text), text).toEqual([])
  })
  it('at the end are thanks', () => {
    expect(leads('a fox in snow. Thank you!')).toEqual(['Thank you!'])
  })
})
