import { listed, TermFinder } from '../glossary/term-finder.ts'
import type { Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { isMeant } from './meant.ts'

const POSTURES: Record<string, string> = {
  kneeling: 'kneeling, kneels, on one knee, on her knees, on his knees',
  standing: 'standing, stands, standing tall, upright',
  sitting: 'sitting, sits, seated, cross-legged, perched on a chair, sat',
  lying: 'lying, lies, lying down, lying flat, lying on her back, lying on his back, sprawled, asleep on the floor, reclining, reclines',
  running: 'running, runs, sprinting, sprints, galloping, dashing',
  walking: 'walking, walks, strolling, strolls, striding, strides, marching, marches, wandering, pacing',
  jumping: 'jumping, jumps, leaping, leaps, mid-leap, mid-jump',
  swimming: 'swimming, swims, diving, dives',
  hanging: 'hanging upside down, hangs upside down, dangling upside down, upside down, head down',
  crouching: 'crouching, crouches, squatting, squats',
  asleep: 'asleep, fast asleep, sleeping, sleeps, dozing, napping',
  flying: 'flying, flies, in mid-flight, in flight, soaring, soars, hovering, hovers, gliding, glides',
}
const finder = new TermFinder(Object.entries(POSTURES).flatMap(([value, terms]) => listed(terms, value)))

/** Whoever sleeps does so in one of these. */
const RESTING = new Set(['sitting', 'lying'])

/** One figure in two postures: kneeling and standing tall. With several figures each may have its own. */
export function twoPostures(checked: Checked): Finding[] {
  const subjects = checked.of('subject')
  if (subjects.length !== 1 || /\b(?:two|three|four|both|and|group|couple|pair|children|men|women|people)\b|s$/i.test(subjects[0]!.text)) return []
  // The second is easily read as a detail; a posture opens its phrase.
  const terms = checked.terms(finder, ['action', 'detail']).filter(({ start, phrase }) => phrase.facet === 'action' || phrase.start === start)
  const clash = (x: string, y: string) => x !== y && !(x === 'asleep' || y === 'asleep' ? RESTING.has(x) || RESTING.has(y) : false)
  const [a, b] = [terms[0], terms.find((term) => clash(terms[0]!.value, term.value) && (term.phrase !== terms[0]?.phrase || /[^s]s$/.test(term.term)))]
  if (!a || !b || isMeant(checked.shown, a, b) || /\b(?:then|and)\b/.test(checked.shown.slice(a.end, b.start))) return []
  return [
    {
      kind: 'contradiction',
      severity: 'stop',
      where: inText(a),
      with: inText(b),
      facet: 'action',
      reason: `“${checked.said(a.phrase)}” and “${checked.said(b.phrase)}” are two postures of one figure.`,
    },
  ]
}
