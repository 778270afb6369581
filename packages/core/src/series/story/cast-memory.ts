import { singularOf } from '../../english/noun.ts'
import type { TextRange } from '../../text-range.ts'
import { type Gender, plainBeing } from './beings.ts'

/** Somebody in a story: a person, an animal, a group, a thing that speaks. */
export interface Being {
  /** Names and roles by which the story calls it, the fullest first. */
  labels: string[]
  /** The name or role it is listed by. */
  name: string
  gender?: Gender
  plural: boolean
  /** “it” may stand for it. */
  thing: boolean
  named: boolean
}

/** A place of the story where somebody is present. */
export interface Appearance extends TextRange {
  being: Being
  sentence: number
  subject: boolean
  /** By a pronoun, not by name. */
  meant: boolean
}

/** How far back a pronoun reaches, in sentences. */
const REACH = 6
/** Nobody remembers more beings than this at once. */
const MOST = 400

interface Remembered {
  sentence: number
  order: number
  subject: boolean
}

/** Who was told of so far, and when last: whom a name, a role or a pronoun stands for. */
export class CastMemory {
  readonly beings: Being[] = []
  readonly appearances: Appearance[] = []
  readonly #last = new Map<Being, Remembered>()
  readonly #byWord = new Map<string, Being[]>()
  #order = 0
  /** Who “they” last stood for. */
  they: Being[] = []

  /** The sentence in which a thing last did something: “it” is that thing rather than an animal of before. */
  thingAt = -99

  /** The sentence somebody was last told of in; undefined for nobody yet. */
  lastOf(being: Being): number | undefined {
    return this.#last.get(being)?.sentence
  }

  /** Somebody who is not there, but whom a pronoun may come back to. */
  mention(being: Being, sentence: number): void {
    if (!this.#last.has(being)) this.#last.set(being, { sentence, order: ++this.#order, subject: false })
  }

  add(being: Being, label: string): Being {
    this.beings.push(being)
    this.call(being, label)
    return being
  }

  /** Makes a being known by each word of a label; whose it is, is no word for it. */
  call(being: Being, label: string): void {
    const own = label.replace(/^.*['’]s?\s+(?=\S)/, '')
    for (const word of own.toLowerCase().match(/[\p{L}\p{N}'’-]+/gu) ?? []) {
      const key = plainBeing(word.replace(/['’]s$/, ''))
      const list = this.#byWord.get(key) ?? []
      if (!list.includes(being)) this.#byWord.set(key, [...list, being])
    }
    if (!being.labels.includes(label)) being.labels.push(label)
  }

  /** The being last spoken of that is called by a word. */
  find(word: string, plural: boolean, fits: (being: Being) => boolean = () => true): Being | undefined {
    const key = plainBeing(word)
    const list = [...(this.#byWord.get(key) ?? []), ...(key !== singularOf(key) ? (this.#byWord.get(singularOf(key)) ?? []).filter((being) => being.plural === plural) : [])]
    return list.filter(fits).sort((a, b) => (this.#last.get(b)?.order ?? 0) - (this.#last.get(a)?.order ?? 0))[0]
  }

  appear(being: Being, sentence: number, range: TextRange, { subject, meant }: { subject: boolean; meant: boolean }): void {
    this.#last.set(being, { sentence, order: ++this.#order, subject })
    this.appearances.push({ being, sentence, subject, meant, start: range.start, end: range.end })
    if (this.#last.size > MOST) this.#last.delete([...this.#last].sort((a, b) => a[1].order - b[1].order)[0]![0])
  }

  narrator(range: TextRange, index: number, subject: boolean): void {
    const known = this.#byWord.get('narrator')?.[0]
    this.appear(known ?? this.add({ labels: ['narrator'], name: 'narrator', plural: false, thing: false, named: false }, 'narrator'), index, range, { subject, meant: true })
  }

  /** Beings, last spoken of first, within some sentences. */
  recent(index: number, reach = REACH): Being[] {
    const worth = (being: Being) => {
      const { sentence, order, subject } = this.#last.get(being)!
      return -(index - sentence) * 100 + order / 1e6 + (subject ? 60 : 0)
    }
    return [...this.#last.keys()].filter((being) => index - this.#last.get(being)!.sentence <= reach).sort((a, b) => worth(b) - worth(a))
  }

  /** Whom a pronoun stands for; as an object it is not whoever is doing something in the same clause. */
  standsFor(pronoun: 'he' | 'she' | 'they' | 'it', index: number, object = false): Being[] {
    const acting = object ? this.appearances.findLast(({ sentence, subject }) => sentence === index && subject)?.being : undefined
    const all = this.recent(index)
    const others = all.filter((being) => being !== acting)
    const recent = others.length ? others : all
    if (pronoun === 'they') {
      // “the two of them … they”: the same two, while one of them is whom the story follows.
      const last = recent.find((being) => !being.plural && !being.thing)
      if (last && this.they.length > 1 && this.they.includes(last) && this.they.every((being) => !being.plural) && !recent.some((being) => being.plural && !being.thing && this.#last.get(being)!.sentence >= this.#last.get(last)!.sentence)) {
        const two = recent.filter((being) => !being.plural && !being.thing && index - this.#last.get(being)!.sentence <= 1)
        if (two.length < 2 || two.every((being) => this.they.includes(being))) return this.they
      }
      const people = recent.filter((being) => !being.plural && !being.thing && index - this.#last.get(being)!.sentence <= 4)
      const plural = recent.find((being) => being.plural && !(being.thing && people.length > 1))
      const singles = recent.filter((being) => !being.plural && !(being.thing && !being.named && recent.filter((other) => !other.plural && !other.thing && index - this.#last.get(other)!.sentence <= 2).length > 1))
      const at = (being: Being | undefined) => (being ? this.#last.get(being)!.sentence : -99)
      const close = singles.filter((being) => index - at(being) <= 2)
      if (plural && at(plural) >= at(close[0]) - 1 && (index - at(plural) <= 2 || close.length < 2) && !(close.length > 1 && at(plural) < at(close[1]))) return [plural]
      if (close.length > 1) return close.slice(0, 4).sort((a, b) => this.beings.indexOf(a) - this.beings.indexOf(b))
      if (this.they.some((being) => recent.includes(being))) return this.they
      if (plural) return [plural]
      return singles.length > 1 ? singles.slice(0, 2) : []
    }
    if (pronoun === 'it') {
      const thing = recent.find((being) => being.thing && !being.plural && index - this.#last.get(being)!.sentence <= 2)
      return thing && this.thingAt <= this.#last.get(thing)!.sentence ? [thing] : []
    }
    const gender: Gender = pronoun === 'he' ? 'male' : 'female'
    // The one last spoken of, doers first; a gender that is known counts for less than who is telling the story along.
    const closeness = (being: Being) => (this.#last.get(being)!.sentence - index) * 100 + (this.#last.get(being)!.subject ? 60 : 0) + (being.gender === gender ? 50 : 0) - (being.thing && !being.named ? 120 : 0)
    const fit = recent.filter((being) => !being.plural && (being.gender === gender || being.gender === undefined) && being.name !== 'narrator').sort((a, b) => closeness(b) - closeness(a))
    const chosen = fit[0] ?? [...this.#last.keys()].reverse().find((being) => !being.plural && being.gender === gender)
    if (chosen) chosen.gender ??= gender
    return chosen ? [chosen] : []
  }
}
