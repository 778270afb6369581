import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { answerTexts, badLine } from './lines.ts'

let said = ''
beforeEach(() => {
  said = ''
  vi.spyOn(process.stdout, 'write').mockImplementation((text) => ((said += String(text)), true))
})
afterEach(() => {
  vi.restoreAllMocks()
})
const file = async (text: string): Promise<string> => {
  const path = join(await mkdtemp(join(tmpdir(), 'lines-')), 'given')
  await writeFile(path, text)
  return path
}
const length = (given: unknown) => {
  const { text } = given as { text?: unknown }
  if (typeof text !== 'string') throw badLine('no-text', 'A line needs a text.')
  return { length: text.length }
}
const ask = (...args: string[]) => answerTexts('measure', args, (text) => ({ text }), length)
const answers = () => said.trim().split('\n').map((line) => JSON.parse(line) as unknown)

describe('a verb over lines', () => {
  it('answers every line in its place; a bad one is named and the rest go on', async () => {
    expect(await ask('--jsonl', await file('{"text":"abc"}\n{"text":3}\nnot json\r\n{"text":""}\n'))).toBe(1)
    expect(answers()).toEqual([{ length: 3 }, { error: { type: 'no-text', message: 'A line needs a text.' } }, { error: { type: 'not-json', message: 'The line is not JSON.' } }, { length: 0 }])
  })

  it('takes a whole file as one text, its lines and all', async () => {
    expect(await ask(await file('a fox\nat dusk\n'))).toBe(0)
    expect(answers()).toEqual([{ length: 14 }])
  })

  it('says what is wrong with the call, and answers nothing', async () => {
    await expect(ask('--colour', 'x')).rejects.toThrow(/measure: .*colour/)
    await expect(ask('a', 'b')).rejects.toThrow(/one file/)
    await expect(ask('/nowhere/at/all')).rejects.toThrow(/ENOENT/)
    await expect(ask('--jsonl', '/nowhere/at/all')).rejects.toThrow(/ENOENT/)
    expect(said).toBe('')
  })
})
