import Papa from 'papaparse'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { captionsFile, clockOf, provenanceXmp, sceneFile, shotList, statementOf } from './delivery.ts'
import { blankScene } from './scene.ts'

const scene = (caption: string, seconds: number) => ({ body: { ...blankScene(), caption, motion: { camera: 'still' as const, subject: '', seconds } } })

describe('what goes out of a series', () => {
  it('is a shot list that a spreadsheet reads and runs nothing of', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 30 }).filter((said) => !/[\r\n]|^'/.test(said)), { maxLength: 5 }), (beats) => {
        const rows = Papa.parse<string[]>(shotList(beats.map((beat, i) => ({ number: i + 1, body: { ...blankScene(), beat }, cast: [], place: '', text: '', leaveOut: [], file: '', engine: '' }))).trimEnd()).data.slice(1)
        expect(rows.map((row) => row[1]!.replace(/^'(?=[=+\-@\t\r])/, ''))).toEqual(beats)
        expect(rows.flat().some((cell) => /^[=+\-@]/.test(cell))).toBe(false)
      }),
    )
    expect(clockOf(75.5)).toBe('1:15.5')
  })

  it('has captions in their time, with nothing in them read as markup', () => {
    expect(captionsFile([scene('One', 4), scene('', 2.5), scene('a <b> --> & c', 3)])).toBe('WEBVTT\n\n1\n00:00:00.000 --> 00:00:04.000\nOne\n\n2\n00:00:06.500 --> 00:00:09.500\na &lt;b&gt; --&gt; &amp; c\n')
  })

  it('names files by scene, in plain letters', () => {
    expect(sceneFile(3, 60, 'No lamp will burn: “ä”!', '.png')).toBe('03-no-lamp-will-burn-a.png')
    expect(sceneFile(7, 120, '', '.png')).toBe('007.png')
  })

  it('says of a picture that an algorithm made it, from which words', () => {
    const made = { title: 'Fox', prompt: 'a "red" <fox> & snow', leaveOut: 'people', engine: 'Burin', revision: '2', simulated: true, seed: 7, madeAt: '2026-11-26T10:00:00Z' }
    const xmp = provenanceXmp(made)
    expect(xmp).toContain('digitalsourcetype/algorithmicMedia"')
    expect(xmp).toContain('AIPromptInformation="a &quot;red&quot; &lt;fox&gt; &amp; snow"')
    expect(provenanceXmp({ ...made, simulated: false })).toContain('digitalsourcetype/trainedAlgorithmicMedia"')
    expect(statementOf(made)).toMatch(/made by a program that draws by rule, Burin 2, on 2026-11-26; .* left out: people; seed 7\.$/)
  })
})
