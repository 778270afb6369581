import { fitTo, hashText, seededRandom, SHIPPED_ENGINES } from '@idolon/core'
import type { PictureRequest } from '../request.ts'
import { termsIn, wordsOf } from '../scene/lexicon.ts'
import type { Scene } from '../scene/scene.ts'
import { understand } from '../scene/understand.ts'
import { withFaults } from './faults.ts'
import { withoutListed } from './leave-out.ts'
import { readSettings, type Settings, underSettings } from './settings.ts'
import type { Cause, Traits } from './traits.ts'

export interface Reading {
  scene: Scene
  settings: Settings
  faults: Cause[]
  notes: string[]
}

/** The text of a prompt that may be JSON by facet: its values, in order. */
function plainText(prompt: string): string {
  if (!prompt.trimStart().startsWith('{')) return prompt
  try {
    const values = (value: unknown): string[] => (typeof value === 'string' ? [value] : Array.isArray(value) ? value.flatMap(values) : value && typeof value === 'object' ? Object.values(value).flatMap(values) : [])
    return values(JSON.parse(prompt)).join(', ')
  } catch {
    return prompt
  }
}

/** Whether a text is a list of short pieces. */
const isList = (text: string): boolean => {
  const pieces = text.split(/[,;\n]/).filter((piece) => piece.trim())
  return pieces.length >= 4 && wordsOf(text).length / pieces.length < 5
}

/** How heavily the subject, the named colours and the mood are meant; 1 is plain. */
function emphasisOf(text: string, scene: Scene, traits: Traits, weights: PictureRequest['weights']): { subject: number; palette: number; mood: number } {
  const words = wordsOf(text)
  const weightOf = (test: (word: string) => boolean): number => {
    if (traits.emphasis === 'weights') return (weights ?? []).filter((one) => wordsOf(one.text).some(test)).reduce((product, one) => product * one.weight, 1)
    const said = words.filter(test).length
    if (traits.emphasis === 'repetition') return said > 1 ? 1 + 0.35 * (said - 1) : 1
    // By order: what comes after the first breath weighs less and less; words put behind it change nothing.
    const at = words.findIndex(test)
    return at < 8 ? 1 : Math.max(0.75, 1 - 0.012 * (at - 8))
  }
  const names = new Set(wordsOf(scene.subject.word ?? ''))
  const colours = new Set(scene.palette)
  const looks = new Set(termsIn(words).filter(({ meanings }) => meanings.some(({ of, value }) => of === 'look' && (value === 'bright' || value === 'gloomy'))).flatMap(({ term }) => wordsOf(term)))
  return { subject: weightOf((word) => names.has(word)), palette: weightOf((word) => colours.has(word)), mood: weightOf((word) => looks.has(word)) }
}

/** What an engine makes of a request for one seed. @throws {RangeError} for a setting out of its range. */
export function readRequest(request: PictureRequest, traits: Traits, seed: number): Reading {
  const engine = `${request.engine} ${request.revision}`
  const settings = readSettings(request.engine, request.revision, request.settings ?? {})
  const limit = SHIPPED_ENGINES.find(({ id, revision }) => id === request.engine && revision === request.revision)?.limit
  const fitted = limit ? fitTo(request.prompt, limit) : request.prompt
  let text = plainText(fitted)
  const faults: Cause[] = []
  const chance = (name: string) => seededRandom((hashText(`${engine} ${name}`) ^ Math.imul(seed + 1, 0x9e3779b1)) >>> 0)
  const long = wordsOf(text).length > 30
  if (long && chance('ignored tail')() < traits.faults['ignored tail']) {
    faults.push('ignored tail')
    text = text.slice(0, Math.floor(text.length * 0.75)).replace(/[^,.;]*$/, '')
  }
  let scene = understand(text, traits.usual)
  const notes = scene.subject.word === null ? ['Nothing in the text names a thing this engine can draw; it drew shapes in the colours and the light that were asked for.'] : []
  const weight = emphasisOf(text, scene, traits, request.weights)
  scene.subjectSize = Math.max(0.5, Math.min(1.6, weight.subject ** 0.5))
  scene.paletteShare = scene.paletteShare >= 1 ? 1 : Math.max(0.15, Math.min(0.95, scene.paletteShare * weight.palette))
  scene.mood = Math.max(-1, Math.min(1, scene.mood * weight.mood))
  if (traits.reads !== 'either' && isList(text) !== (traits.reads === 'lists') && wordsOf(text).length > 12) {
    const random = chance('half read')
    scene.others = scene.others.filter(() => random() >= traits.halfRead)
    scene.extras = scene.extras.filter(() => random() >= traits.halfRead)
  }
  scene = underSettings(scene, settings, seed)
  if (traits.takesLeaveOut && request.leaveOut) scene = withoutListed(scene, request.leaveOut)
  const spoilt = withFaults(scene, traits.faults, engine, text, seed)
  return { scene: spoilt.scene, settings, faults: [...faults, ...spoilt.faults], notes }
}
