import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { emptyDraft } from '../src/draft/draft.ts'
import { literal } from '../src/english/whole-word.ts'
import type { Reader } from '../src/read/reader.ts'
import { composeScene, type PartNow, partsOf } from '../src/series/compose.ts'
import type { SeenScene, SeenSeries } from '../src/series/continuity/seen.ts'
import type { SlipKind } from '../src/series/continuity/slip-kind.ts'
import { blankPart, type PartKind } from '../src/series/part.ts'
import { blankScene, type PartUse } from '../src/series/scene.ts'

interface Line {
  words: string
  cast: string
  place: string
  moment: string
  framing: string
  story: string
  replace: [string, string][]
  engine: string
  ratio: string
}
interface Base {
  name: string
  parts: { kind: PartKind; name: string; says: string }[]
  lines: Line[]
  slips: { scene: number; kind: SlipKind; what: string }[]
}
/** A series with one slip planted in it, or none. */
export interface ContinuityCase {
  id: string
  series: SeenSeries
  planted: { scene: number; kind: SlipKind } | null
}

function bases(core: string): Base[] {
  const file = readFileSync(join(core, 'continuity-cases/series.txt'), 'utf8').replace(/^# .*\n/gm, '')
  return file.trim().split(/^== /m).filter(Boolean).map((block) => {
    const [name = '', ...rest] = block.trim().split('\n')
    const base: Base = { name, parts: [], lines: [], slips: [] }
    for (const line of rest) {
      const part = /^(style|character|place)(?: (\w+))?: (.+)$/.exec(line)
      const slip = /^slip (\d+) ([\w-]+) (.+)$/.exec(line)
      if (part) base.parts.push({ kind: part[1] as PartKind, name: part[2] ?? 'Look', says: part[3]! })
      else if (slip) base.slips.push({ scene: Number(slip[1]) - 1, kind: slip[2] as SlipKind, what: slip[3]! })
      else {
        const [words = '', cast = '', place = '', moment = '', framing = '', story = ''] = line.split('|').map((cell) => cell.trim())
        base.lines.push({ words, cast, place, moment, framing, story, replace: [], engine: 'burin', ratio: '3:2' })
      }
    }
    return base
  })
}

function partOf({ kind, name, says }: Base['parts'][number]): PartNow {
  const body = blankPart(kind, name)
  says.split(';').map((one) => one.trim()).forEach((one, i) => {
    const variant = /^(\w+): (.+)$/.exec(one)
    if (variant) body.variants.push({ key: variant[1]!, aspect: 'dress', name: variant[1]!, text: variant[2]! })
    else body.says.push({ key: `p${i + 1}`, text: one })
  })
  return { id: name, version: 1, body }
}

function built(reader: Reader, parts: readonly PartNow[], lines: readonly Line[]): SeenSeries {
  const byId = new Map(parts.map((part) => [part.id, part]))
  const look = parts.find(({ body }) => body.kind === 'style')!.id
  const scenes = lines.map((line): SeenScene => {
    const cast = line.cast === 'none' ? [] : line.cast.split(',').map((one): PartUse => ({ part: one.trim().replace(/\[.*/, ''), variants: /\[(\w+)\]/.exec(one)?.slice(1) ?? [] }))
    const body = { ...blankScene(), beat: line.words, words: line.words, cast, place: byId.has(line.place) ? { part: line.place, variants: [] } : null, where: byId.has(line.place) ? '' : line.place, moment: line.moment, framing: line.framing }
    const made = { ...emptyDraft(), ...composeScene(body, partsOf(body, look, byId), reader.words) }
    const text = line.replace.reduce((said, [from, to]) => said.replace(new RegExp(literal(from), 'i'), to), made.text)
    const draft = { ...made, text, marks: text === made.text ? made.marks : [], engines: [{ engine: line.engine }], settings: { aspectRatio: line.ratio } }
    const told = line.story ? reader.scenes(line.story, [0]).scenes[0] : undefined
    return { body, draft, shown: text, story: told ? { text: line.story, cast: told.cast, moment: told.moment?.text ?? null, carried: told.moment?.carried ?? false } : null, picture: null }
  })
  return { scenes, parts: byId, style: look }
}

/** The series of continuity-cases: each clean, and each with one slip after another. */
export function continuityCases(core: string, reader: Reader): ContinuityCase[] {
  return bases(core).flatMap((base) => {
    const parts = base.parts.map(partOf)
    const clean: ContinuityCase = { id: base.name, series: built(reader, parts, base.lines), planted: null }
    const slipped = base.slips.map(({ scene, kind, what }): ContinuityCase => {
      const lines = base.lines.map((line) => ({ ...line, replace: [...line.replace] }))
      let own = parts
      const line = lines[scene]!
      const text = /^text "(.+)" -> "(.*)"$/.exec(what)
      const set = /^(moment|engine|ratio) -> (.+)$/.exec(what)
      const says = /^part (\w+) says (.+)$/.exec(what)
      if (text) {
        const [, from = '', to = ''] = text
        line.replace.push([from, to])
        // Words of the scene itself are changed where they stand.
        if (line.words.toLowerCase().includes(from.toLowerCase())) line.words = line.words.replace(from, to)
      } else if (set) line[set[1] as 'moment' | 'engine' | 'ratio'] = set[2]!
      else if (what.startsWith('cast ')) line.cast = what.slice(5)
      else if (what.startsWith('all ')) for (const one of lines) one.framing = what.slice(4)
      else if (says) own = parts.map((part) => (part.id === says[1] ? partOf({ kind: part.body.kind, name: part.id, says: says[2]! }) : part))
      return { id: `${base.name} ${scene + 1} ${kind}`, series: built(reader, own, lines), planted: { scene, kind } }
    })
    return [clean, ...slipped]
  })
}
