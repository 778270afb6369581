import { readFileSync } from 'node:fs'
import { join } from 'node:path'

/** A story with its scenes as somebody labelled them. Each of cast, place and moment has other wordings; null is for what the story leaves open. */
export interface StoryCase {
  id: string
  kind: string
  story: string
  scenes: { start: number; end: number; cast: string[][]; place: string[] | null; moment: string[] | null }[]
}

const wordings = (said: string) => said.split('/').map((one) => one.trim())
const open = (said: string) => (said.trim() === '-' ? null : wordings(said))

/** The stories of a file of story-cases, of the folder of core. @throws on a line that is no story. */
export function storyCases(core: string, name: 'told' | 'held-back'): StoryCase[] {
  const file = readFileSync(join(core, `story-cases/${name}.txt`), 'utf8').replace(/^# .*\n/gm, '')
  return file.trim().split(/^== /m).filter(Boolean).map((block) => {
    const [head = '', ...lines] = block.trim().split('\n')
    const [id = '', ...kind] = head.split(' ')
    let story = ''
    let gap = ''
    let held = 0
    const scenes: StoryCase['scenes'] = []
    for (const line of lines) {
      const label = /^\[(.*)\|(.*)\|(.*)\]$/.exec(line)
      if (label) {
        const cast = label[1]!.trim() === '-' ? [] : label[1]!.split(';').map(wordings)
        scenes.push({ start: -1, end: -1, cast, place: open(label[2]!), moment: open(label[3]!) })
        gap ||= story ? ' ' : ''
        // Where speech has lines of its own, so has what follows; elsewhere scenes that follow without an empty line are one paragraph.
        if (gap === '\n' && !head.endsWith('dialogue') && held < 2) gap = ' '
        held = 0
      } else if (!line.trim()) gap = '\n\n'
      else {
        const scene = scenes.at(-1)
        if (!scene) throw new Error(`${id}: text before the first label`)
        story += scene.start < 0 ? (story ? gap || ' ' : '') : gap || '\n'
        if (scene.start < 0) scene.start = story.length
        story += line.trim()
        scene.end = story.length
        held++
        gap = '\n'
      }
    }
    return { id, kind: kind.join(' '), story, scenes }
  })
}
