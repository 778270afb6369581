import Papa from 'papaparse'
import type { SceneBody } from './scene.ts'

/** A scene as it goes out. */
export interface DeliveredScene {
  number: number
  body: SceneBody
  cast: readonly string[]
  place: string
  /** The text of its prompt, less what is switched off. */
  text: string
  leaveOut: readonly string[]
  /** File of its picture beside the list, where there is one. */
  file: string
  engine: string
}

const COLUMNS = ['scene', 'beat', 'cast', 'place', 'moment', 'framing', 'camera', 'what moves', 'seconds', 'from', 'sound', 'caption', 'picture', 'engine', 'prompt', 'leave out', 'notes'] as const

/** Minutes and seconds: 75.5 is “1:15.5”. */
export const clockOf = (seconds: number): string => {
  const tenths = Math.round(seconds * 10)
  return `${Math.floor(tenths / 600)}:${String(Math.floor((tenths % 600) / 10)).padStart(2, '0')}${tenths % 10 ? `.${tenths % 10}` : ''}`
}

/** The shot list as CSV (RFC 4180), a scene a line. */
export function shotList(scenes: readonly DeliveredScene[]): string {
  let at = 0
  const rows = scenes.map(({ number, body, cast, place, text, leaveOut, file, engine }) => {
    const from = clockOf(at)
    at += body.motion.seconds
    return [String(number), body.beat, cast.join(', '), place, body.moment, body.framing, body.motion.camera, body.motion.subject, String(body.motion.seconds), from, body.sound, body.caption, file, engine, text, leaveOut.join(', '), body.note]
  })
  return `${Papa.unparse([[...COLUMNS], ...rows], { newline: '\r\n', escapeFormulae: true })}\r\n`
}

const stamp = (seconds: number): string => {
  const ms = Math.round(seconds * 1000)
  const part = (value: number, digits: number) => String(value).padStart(digits, '0')
  return `${part(Math.floor(ms / 3_600_000), 2)}:${part(Math.floor(ms / 60_000) % 60, 2)}:${part(Math.floor(ms / 1000) % 60, 2)}.${part(ms % 1000, 3)}`
}

/** The captions in their time, as WebVTT (W3C). */
export function captionsFile(scenes: readonly { body: Pick<SceneBody, 'caption' | 'motion'> }[]): string {
  let at = 0
  const cues = scenes.flatMap(({ body }) => {
    const from = at
    at += body.motion.seconds
    // “-->” would end a cue's text, and markup is shown as it is.
    const said = body.caption.trim().replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')
    return said ? [`${stamp(from)} --> ${stamp(at)}\n${said}`] : []
  })
  return `WEBVTT\n\n${cues.map((cue, i) => `${i + 1}\n${cue}`).join('\n\n')}\n`
}

/** A name for a scene's file: its number and what happens, in plain letters. */
export function sceneFile(number: number, of: number, beat: string, ending: string): string {
  const digits = Math.max(2, String(of).length)
  const plain = beat.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '').slice(0, 60).replace(/-+$/, '')
  return `${String(number).padStart(digits, '0')}${plain ? `-${plain}` : ''}${ending}`
}

/** What made a picture, as it is written into its file. */
export interface Provenance {
  title: string
  prompt: string
  leaveOut: string
  engine: string
  revision: string
  simulated: boolean
  seed: number | null
  /** When it was made, RFC 3339. */
  madeAt: string
}

const xml = (said: string) => said.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;').replace(/[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, ' ')

/** In plain words: what a picture is, what made it, from which words. */
export const statementOf = ({ title, prompt, leaveOut, engine, revision, simulated, seed, madeAt }: Provenance): string =>
  `${title}. This picture was made by ${simulated ? 'a program that draws by rule' : 'an image generator'}, ${engine} ${revision}, on ${madeAt.slice(0, 10)}; no camera took it and nobody drew it. Its prompt: “${prompt}”${leaveOut ? `; left out: ${leaveOut}` : ''}${seed === null ? '' : `; seed ${seed}`}.`

/**
 * Where a picture comes from, as an XMP packet: that an algorithm made it (IPTC digital source type), the prompt, the system
 * and its version (IPTC Photo Metadata Standard 2025.1), the date, and the statement as its description (Dublin Core).
 */
export function provenanceXmp(made: Provenance): string {
  const type = made.simulated ? 'algorithmicMedia' : 'trainedAlgorithmicMedia'
  return `<?xpacket begin="\ufeff" id="W5M0MpCehiHzreSzNTczkc9d"?>
<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmlns:Iptc4xmpExt="http://iptc.org/std/Iptc4xmpExt/2008-02-29/" xmp:CreateDate="${xml(made.madeAt)}" xmp:CreatorTool="${xml(`${made.engine} ${made.revision}, asked by Idolon`)}" Iptc4xmpExt:DigitalSourceType="http://cv.iptc.org/newscodes/digitalsourcetype/${type}" Iptc4xmpExt:AIPromptInformation="${xml(made.prompt)}" Iptc4xmpExt:AISystemUsed="${xml(made.engine)}" Iptc4xmpExt:AISystemVersionUsed="${xml(made.revision)}"><dc:title><rdf:Alt><rdf:li xml:lang="x-default">${xml(made.title)}</rdf:li></rdf:Alt></dc:title><dc:description><rdf:Alt><rdf:li xml:lang="x-default">${xml(statementOf(made))}</rdf:li></rdf:Alt></dc:description></rdf:Description></rdf:RDF></x:xmpmeta>
<?xpacket end="w"?>`
}
