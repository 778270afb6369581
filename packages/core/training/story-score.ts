import type { StoryScenes } from '../src/series/story/scenes.ts'
import { singularOf } from '../src/english/noun.ts'
import type { StoryCase } from './story-cases.ts'

const EMPTY = /^(?:the|an?|of|in|on|at|by|and|his|her|their|its|my|our|that|this|old|one)$/
const content = (said: string) => (said.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !EMPTY.test(word)).map(singularOf)
/** Whether two wordings name the same: all words of one are among those of the other, or the last word of both is one. */
function alike(a: string, b: string): boolean {
  const [x, y] = [content(a), content(b)]
  if (!x.length || !y.length) return a.toLowerCase() === b.toLowerCase()
  return x.every((word) => y.includes(word)) || y.every((word) => x.includes(word))
}
const among = (said: string, wordings: readonly string[]) => wordings.some((one) => alike(said, one))

/** What a splitting of labelled stories got right. */
export class StoryScore {
  boundaries = { right: 0, given: 0, wanted: 0 }
  cast = { right: 0, given: 0, wanted: 0 }
  place = { right: 0, of: 0 }
  moment = { right: 0, of: 0 }
  readonly mistakes: string[] = []

  add(told: StoryCase, found: StoryScenes): void {
    const gold = told.scenes.slice(1).map(({ start }) => start)
    const given = found.scenes.slice(1).map(({ start }) => start)
    this.boundaries.right += gold.filter((start) => given.includes(start)).length
    this.boundaries.given += given.length
    this.boundaries.wanted += gold.length
    const around = (at: number) => told.story.slice(at, at + 50).replaceAll('\n', ' ')
    for (const start of gold) if (!given.includes(start)) this.mistakes.push(`${told.id} boundary missed: ${around(start)}`)
    for (const start of given) if (!gold.includes(start)) this.mistakes.push(`${told.id} boundary too many: ${around(start)}`)
    told.scenes.forEach((scene) => {
      // The found scene that shares most of it.
      const share = (other: { start: number; end: number }) => Math.min(other.end, scene.end) - Math.max(other.start, scene.start)
      const own = [...found.scenes].sort((a, b) => share(b) - share(a))[0]
      const names = own?.cast ?? []
      const used = new Set<string>()
      const missed: string[] = []
      for (const wording of scene.cast) {
        const hit = names.find((name) => !used.has(name) && among(name, wording))
        if (hit) used.add(hit)
        else missed.push(wording[0]!)
      }
      this.cast.right += used.size
      this.cast.given += names.length
      this.cast.wanted += scene.cast.length
      const extra = names.filter((name) => !used.has(name))
      if (missed.length || extra.length) this.mistakes.push(`${told.id} cast ${missed.map((one) => `-${one}`).join(' ')} ${extra.map((one) => `+${one}`).join(' ')}: ${around(scene.start)}`)
      for (const what of ['place', 'moment'] as const) {
        const [want, said] = [scene[what], own?.[what] ?? null]
        // What the story leaves open may be carried on, as long as it is told as carried.
        const right = want === null ? said === null || said.carried : said !== null && among(said.text, want)
        this[what].of++
        if (right) this[what].right++
        else this.mistakes.push(`${told.id} ${what} ${want?.join('/') ?? 'none'} <- ${said ? said.text + (said.carried ? ' (carried)' : '') : 'none'}: ${around(scene.start)}`)
      }
    })
  }

  get figures(): Record<'boundaryF1' | 'castF1' | 'place' | 'moment', number> {
    const f1 = ({ right, given, wanted }: { right: number; given: number; wanted: number }) => (2 * right) / (given + wanted || 1)
    return { boundaryF1: f1(this.boundaries), castF1: f1(this.cast), place: this.place.right / this.place.of, moment: this.moment.right / this.moment.of }
  }
}
