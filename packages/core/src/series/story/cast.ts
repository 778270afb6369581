import { pluralOf, singularOf } from '../../english/noun.ts'
import type { WordTable } from '../../read/words/word-table.ts'
import type { TextRange } from '../../text-range.ts'
import { beingWorth, type Gender, genderOf, isAnimal, isGroup, plainBeing, TITLES } from './beings.ts'
import type { Names } from './names.ts'
import { labelOf, type NounPhrase } from './noun-phrases.ts'
import { ADJ, ADV, AUX, NOUN, PRON, VERB } from './parts-of-speech.ts'
import { placeWorth } from './place-words.ts'
import type { Sentence, StoryToken } from './sentences.ts'

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

const SPEECH = /^(?:said|says|say|asked|asks|answered|answers|replied|replies|whispered|whispers|shouted|shouts|cried|cries|called|calls|murmured|muttered|laughed|told|tells|sang|sings|spoke|speaks|warned|announced|explained|declared|begged|sighed|added|insisted|promised|yelled|grumbled|growled|hissed|croaked|squeaked|roared|thought|wondered|agreed|admitted|complained|demanded|exclaimed|giggled|grinned|nodded|ordered|pleaded|repeated|suggested|interrupted|continued|began|winked|smiled)$/
const ABSENT_AFTER = new Set('like as than about from without despite except concerning whether if'.split(' '))
/** For whom something is only meant. */
const MEANT_FOR = /^(?:wait\w*|long\w*|look\w*|search\w*|ask\w*|hope\w*|pray\w*|sent|sends?|call\w*|grieve\w*|mourn\w*|wish\w*|yearn\w*|written|wrote|known?|famous|old|money|letter)$/
const GENERIC = /^(?:man|woman|boy|girl|child|lady|gentleman|fellow|lad|lass|youth|stranger|kid|creature|animal|beast|bird|visitor|guest|friend|companion|couple|pair|twins|siblings|brothers|sisters|children|men|women|boys|girls|friends|animals|creatures|birds)$/
const DISTINCT = /^(?:first|second|third|fourth|fifth|sixth|eldest|oldest|youngest|elder|younger|middle|other|another|new|next|last)$/
const SUBORDINATE = /^(?:since|because|that|which|who|whom|whose|whether|if|unless|although|though)$/
const NAMED = /^(?:named|called)$/
const BE = /^(?:is|was|are|were|be|been|became|becomes|remained)$/

/** How far back a pronoun reaches, in sentences. */
const REACH = 6
/** Nobody remembers more beings than this at once. */
const MOST = 400

interface Remembered {
  sentence: number
  order: number
  subject: boolean
}

/** Finds who is where in a story, sentence by sentence, names, roles and pronouns followed. */
export class CastFinder {
  readonly beings: Being[] = []
  readonly appearances: Appearance[] = []
  readonly #last = new Map<Being, Remembered>()
  readonly #byWord = new Map<string, Being[]>()
  #order = 0
  /** Who “they” last stood for. */
  #they: Being[] = []

  constructor(
    private readonly story: string,
    private readonly words: WordTable,
    private readonly names: Names,
    /** Nouns of things that speak, think or lead the story as if alive, in lower case. */
    private readonly animated: ReadonlySet<string>,
  ) {}

  read(sentence: Sentence, index: number, phrases: readonly NounPhrase[]): void {
    if (sentence.heading) return
    const { tokens } = sentence
    if (sentence.speaker && tokens[0]?.quoted) this.#speaker(sentence, index)
    const byFrom = new Map(phrases.map((phrase) => [phrase.from, phrase]))
    let passed = -1
    for (let i = 0; i < tokens.length; i++) {
      const token = tokens[i]!
      if (token.quoted || i <= passed) continue
      const phrase = byFrom.get(i)
      if (phrase) {
        // Whom a possessive stands for is there as well where it was there before: “his cat”.
        this.#owners(tokens, phrase, index)
        this.#phrase(tokens, phrase, phrases, index)
        passed = phrase.head - 1
        if (phrase.to - 1 > i) passed = phrase.to - 1
        continue
      }
      this.#pronoun(tokens, i, index)
    }
  }

  #speaker({ speaker, tokens, start }: Sentence, index: number): void {
    const lower = plainBeing(speaker!.toLowerCase())
    const role = lower.split(' ').at(-1)!
    const known = this.#find(role, false)
    const shown = speaker === speaker!.toUpperCase() ? (beingWorth(role, this.words) >= 0.5 ? lower : lower.replace(/(?:^|\s)\p{L}/gu, (letter) => letter.toUpperCase())) : speaker!
    const being = known ?? this.#add({ labels: [shown], name: shown, plural: isGroup(role), thing: false, named: beingWorth(role, this.words) < 0.5, ...this.#genderPart(role) }, shown)
    this.#appear(being, index, { start, end: tokens[0]!.end }, { subject: true, meant: false })
  }

  #genderPart(head: string): { gender?: Gender } {
    const gender = genderOf(head)
    return gender ? { gender } : {}
  }

  #add(being: Being, label: string): Being {
    this.beings.push(being)
    this.#call(being, label)
    return being
  }

  /** Makes a being known by each word of a label. */
  #call(being: Being, label: string): void {
    for (const word of label.toLowerCase().match(/[\p{L}\p{N}'’-]+/gu) ?? []) {
      const key = plainBeing(word.replace(/['’]s$/, ''))
      const list = this.#byWord.get(key) ?? []
      if (!list.includes(being)) this.#byWord.set(key, [...list, being])
    }
    if (!being.labels.includes(label)) being.labels.push(label)
  }

  /** The being last spoken of that is called by a word. */
  #find(word: string, plural: boolean, fits: (being: Being) => boolean = () => true): Being | undefined {
    const key = plainBeing(word)
    const list = [...(this.#byWord.get(key) ?? []), ...(key !== singularOf(key) ? (this.#byWord.get(singularOf(key)) ?? []).filter((being) => being.plural === plural) : [])]
    return list.filter(fits).sort((a, b) => (this.#last.get(b)?.order ?? 0) - (this.#last.get(a)?.order ?? 0))[0]
  }

  #appear(being: Being, sentence: number, range: TextRange, { subject, meant }: { subject: boolean; meant: boolean }): void {
    this.#last.set(being, { sentence, order: ++this.#order, subject })
    this.appearances.push({ being, sentence, subject, meant, start: range.start, end: range.end })
    if (this.#last.size > MOST) this.#last.delete([...this.#last].sort((a, b) => a[1].order - b[1].order)[0]![0])
  }

  #owners(tokens: readonly StoryToken[], phrase: NounPhrase, index: number): void {
    for (let i = phrase.from; i < phrase.head; i++) {
      const token = tokens[i]!
      if (/^(?:his|her|their|its)$/.test(token.lower)) {
        const owner = this.#standsFor(token.lower === 'his' ? 'he' : token.lower === 'her' ? 'she' : token.lower === 'their' ? 'they' : 'it', index)
        for (const being of owner) if ((this.#last.get(being)?.sentence ?? -9) >= index - 4) this.#appear(being, index, token, { subject: false, meant: true })
      } else if (/^(?:my|our)$/.test(token.lower)) this.#narrator(token, index, false)
      else if (/['’]s$/.test(token.lower)) {
        const owner = this.names.isName(token) ? this.#named(tokens, { from: i, to: i + 1, head: i, name: true, determiner: '' }) : undefined
        if (owner) this.#appear(owner, index, token, { subject: false, meant: true })
      }
    }
  }

  /** Whether a sentence's verb comes right after a phrase, past adverbs, an apposition or a relative clause. */
  #acts(tokens: readonly StoryToken[], phrase: NounPhrase): boolean {
    let i = (phrase.of ?? phrase).to
    for (let steps = 0; i < tokens.length && steps < 4; steps++, i++) {
      const token = tokens[i]!
      if (token.tag === VERB || token.tag === AUX) return true
      if (token.lower === 'and' || token.lower === 'or') return tokens.slice(i + 1, i + 8).some(({ tag }) => tag === VERB || tag === AUX)
      if (token.text === ',') {
        const close = tokens.findIndex((other, k) => k > i && other.text === ',')
        return close > 0 && close - i < 16 && [VERB, AUX].includes(tokens[close + 1]?.tag ?? 0)
      }
      if (/^(?:who|that|which|whose|with|in|of|from|on|at)$/.test(token.lower)) return true
      if (token.tag !== ADV && token.tag !== PRON && !/^(?:alone|both|all|too|also|himself|herself)$/.test(token.lower)) return false
    }
    return false
  }

  #phrase(tokens: readonly StoryToken[], phrase: NounPhrase, phrases: readonly NounPhrase[], index: number): void {
    const head = tokens[phrase.head]!
    const lower = head.lower.replace(/['’]s$|['’]$/, '')
    const before = tokens[phrase.from - 1]
    const after = tokens[phrase.to]
    const range = { start: tokens[phrase.from]!.start, end: head.end }
    const acts = this.#acts(tokens, phrase)
    const saidBefore = before && SPEECH.test(before.lower) && (tokens[phrase.from - 2]?.quoted === true || phrase.from === 1)
    const alive = phrase.name || this.animated.has(lower) || beingWorth(lower, this.words) > 0
    const speaks = alive && ((after && SPEECH.test(after.lower) && !after.quoted) || saidBefore)
    const given = phrase.name ? this.#named(tokens, phrase) : undefined
    const ordinal = acts && phrase.determiner === 'the' && !phrase.of && /^(?:eldest|oldest|youngest|elder|younger)$/.test(lower)
    const worth = phrase.name || ordinal ? 1 : this.animated.has(lower) ? 0.8 : beingWorth(lower, this.words)
    // “the two of them”
    if (phrase.determiner === 'the' && /^(?:two|three|four|five|pair)$/.test(lower)) {
      for (const being of (this.#they = this.#standsFor('they', index))) this.#appear(being, index, range, { subject: acts, meant: true })
      return
    }
    if (phrase.name && !given) return
    if (!phrase.name && worth < 0.3 && !(speaks && before?.lower !== 'of')) return
    if (!phrase.name && /^(?:no|any|neither|what|which)$/.test(phrase.determiner)) return
    // “each pupil” is one of those who are there.
    if (!phrase.name && /^(?:every|each)$/.test(phrase.determiner)) {
      const group = this.#find(pluralOf(lower), true)
      if (group) this.#appear(group, index, range, { subject: acts, meant: false })
      return
    }
    // People in general are nobody.
    if (!phrase.name && worth === 0.3 && (phrase.of || !/^(?:the|these|those|two|both)$/.test(phrase.determiner))) return
    // A noun of a person that only tells what another noun is: “the shepherd boy” ends in its head and is taken whole.
    if (!phrase.name && worth < 1 && worth !== 0.3 && !acts && !speaks && !this.#find(lower, isGroup(lower))) return
    const alias = this.#apposed(tokens, phrase, phrases)
    // “They had been enemies”: what somebody is, is nobody more.
    if (!given && !alias && before && BE.test(before.lower) && phrase.determiner !== 'the' && !/^(?:there|here)$/.test(tokens[phrase.from - 2]?.lower ?? '') && phrase.from >= 2) return
    const being = given ?? alias ?? this.#role(tokens, phrase, index, worth, speaks === true)
    if (!being) return
    if (this.#away(tokens, phrase, being, acts)) return
    this.#appear(being, index, range, { subject: acts || speaks === true, meant: false })
  }

  /** A name's being; undefined where it names a place. */
  #named(tokens: readonly StoryToken[], phrase: NounPhrase): Being | undefined {
    const parts = tokens.slice(phrase.from, phrase.to).filter(({ kind, lower }) => kind !== 'mark' && lower !== phrase.determiner)
    if (!parts.length) return undefined
    const head = tokens[phrase.head]!
    const label = parts.map(({ text }) => text).join(' ').replace(/['’]s$|['’]$/, '')
    const key = head.lower.replace(/['’]s$|['’]$/, '')
    const titled = parts.length > 1 && TITLES.has(parts[0]!.lower)
    const known = parts.map(({ lower }) => lower.replace(/['’]s$|['’]$/, '')).filter((word) => !TITLES.has(word) || parts.length === 1).map((word) => this.#find(word, false, (being) => being.named || parts.length === 1)).find(Boolean)
    if (known) {
      const words = (said: string) => said.toLowerCase().split(/\s+/)
      // Two who share a family name are two: “Ada Brenn” and “Otto Brenn”.
      const other = known.labels.find((one) => words(one).length > 1 && parts.length > 1 && words(one).at(-1) === key && words(one)[0] !== parts[0]!.lower && !TITLES.has(words(one)[0]!) && !titled)
      if (!other) {
        this.#call(known, label)
        if (known.named && label.split(' ').length > known.name.split(' ').length) known.name = label
        if (!known.named && beingWorth(key, this.words) < 0.5) {
          known.named = true
          known.name = label
        }
        return known
      }
    }
    if (!titled && (this.names.isPlace(head) || (placeWorth(key, this.words) >= 0.5 && parts.length > 1 && !this.names.acts(head)))) return undefined
    const plural = phrase.determiner === 'the' && /s$/.test(key) && isGroup(key)
    const gender = titled ? genderOf(parts[0]!.lower) : genderOf(key)
    return this.#add({ labels: [label], name: label, plural, thing: isAnimal(key, this.words), named: true, ...(gender ? { gender } : {}) }, label)
  }

  /** Who a role stands for that is said beside a name: “Maud the owl”, “his sister Ann”, “a girl named Elin”, “Ada was a weaver”. */
  #apposed(tokens: readonly StoryToken[], phrase: NounPhrase, phrases: readonly NounPhrase[]): Being | undefined {
    if (phrase.name) return undefined
    const lower = tokens[phrase.head]!.lower
    const label = labelOf(this.story, tokens, phrase)
    const join = (being: Being | undefined) => {
      if (!being) return undefined
      this.#call(being, label)
      const gender = genderOf(lower)
      if (gender) being.gender ??= gender
      being.thing ||= isAnimal(lower, this.words)
      return being
    }
    const position = phrases.indexOf(phrase)
    const next = phrases[position + 1]
    const previous = phrases[position - 1]
    const end = (phrase.of ?? phrase).to
    if (next?.name && (next.from === end || (NAMED.test(tokens[end]?.lower ?? '') && next.from === end + 1) || (tokens[end]?.text === ',' && next.from === end + 1 && /^[,.]$/.test(tokens[next.to]?.text ?? '.')))) {
      return join(this.#named(tokens, next))
    }
    if (previous?.name && previous.to === phrase.from && phrase.determiner === 'the') return join(this.#find(tokens[previous.head]!.lower, false))
    if (previous?.name && previous.to + 1 === phrase.from && tokens[previous.to]?.text === ',' && /^(?:the|an?|her|his|their|its|my|our)$|['’]s$/.test(phrase.determiner) && this.#closes(tokens, end)) {
      return join(this.#find(tokens[previous.head]!.lower, false))
    }
    // “The boy is a man now”: the same one, told anew.
    const verb = tokens[phrase.from - 1]
    if (verb && BE.test(verb.lower) && /^(?:an?|the)$/.test(phrase.determiner) && previous && (previous.of ?? previous).to === phrase.from - 1) {
      const subject = previous.name ? this.#find(tokens[previous.head]!.lower, false) : this.#find(tokens[previous.head]!.lower, isGroup(tokens[previous.head]!.lower))
      return join(subject)
    }
    return undefined
  }

  /** Whether what is set in after a name ends with a comma or the sentence before any verb. */
  #closes(tokens: readonly StoryToken[], from: number): boolean {
    for (let i = from; i < tokens.length && i - from < 10; i++) {
      if (/^[,.;:]$/.test(tokens[i]!.text) || SUBORDINATE.test(tokens[i]!.lower)) return true
      if (tokens[i]!.tag === AUX) return false
    }
    return from >= tokens.length
  }

  #role(tokens: readonly StoryToken[], phrase: NounPhrase, index: number, worth: number, speaks: boolean): Being | undefined {
    const lower = tokens[phrase.head]!.lower.replace(/['’]$/, '')
    const label = labelOf(this.story, tokens, phrase)
    const group = isGroup(lower)
    const modifiers = tokens.slice(phrase.from, phrase.head).map((token) => token.lower)
    const distinct = modifiers.find((word) => DISTINCT.test(word))
    const indefinite = /^(?:an?|another|some|one)$/.test(phrase.determiner)
    const fits = (being: Being) => {
      if (being.plural !== group) return false
      const own = being.labels.flatMap((one) => one.toLowerCase().split(/\s+/)).filter((word) => DISTINCT.test(word))
      return !(distinct && !own.includes(distinct) && !/^(?:other|new|next|last)$/.test(distinct)) || (distinct !== undefined && own.includes(distinct))
    }
    const known = this.#find(lower, group, fits) ?? (distinct ? this.#find(distinct, group) : undefined)
    // “a fox” said again is the same one unless the story says “another”.
    if (known && !(indefinite && (phrase.determiner === 'another' || (this.#last.has(known) && index - this.#last.get(known)!.sentence < 1)))) {
      this.#call(known, label)
      const gender = genderOf(lower)
      if (gender) known.gender ??= gender
      return known
    }
    if (GENERIC.test(lower) && !indefinite && !distinct && phrase.determiner !== '') {
      const gender = genderOf(lower)
      const animal = isAnimal(lower, this.words)
      if (group) {
        const them = this.#standsFor('they', index)
        if (them.length > 1) {
          this.#they = them
          for (const being of them) this.#appear(being, index, tokens[phrase.head]!, { subject: this.#acts(tokens, phrase), meant: true })
          return undefined
        }
      } else {
        const same = this.#recent(index, 10).find((being) => !being.plural && being.thing === animal && (gender === undefined || being.gender === gender || (being.gender === undefined && !being.labels.some((one) => GENERIC.test(one.toLowerCase())))))
        if (same) {
          if (gender) same.gender ??= gender
          return same
        }
      }
    }
    // Who is only named by what belongs to somebody is there when acting.
    if (worth < 0.5 && !speaks && worth !== 0.3) return undefined
    const gender = genderOf(lower)
    return this.#add({ labels: [label], name: label, plural: group, thing: worth < 0.3 || this.animated.has(lower) || isAnimal(lower, this.words), named: false, ...(gender ? { gender } : {}) }, label)
  }

  /** Said of, but not there: compared with, waited for, remembered, owned by nobody in the scene. */
  #away(tokens: readonly StoryToken[], phrase: NounPhrase, being: Being, acts: boolean): boolean {
    const before = tokens[phrase.from - 1]
    if (before && ABSENT_AFTER.has(before.lower)) return !(before.lower === 'as' && acts)
    if (before?.lower === 'of' && !acts) return true
    if (before?.lower === 'for' && MEANT_FOR.test(tokens[phrase.from - 2]?.lower ?? '')) return true
    const known = this.#last.has(being)
    // “His physicians had tried poppies”: told of before.
    if (!known && /^(?:his|her|their|my|our|its)$/.test(phrase.determiner) && tokens[phrase.to]?.lower === 'had') return true
    if (!known && acts) {
      // “since her father died”, “what his mother had told him”
      for (let i = phrase.from - 1; i >= 0 && phrase.from - i < 4; i--) if (SUBORDINATE.test(tokens[i]!.lower) || /^(?:what|where|when)$/.test(tokens[i]!.lower)) return /^(?:his|her|their|my|our|its)$/.test(phrase.determiner) || tokens[phrase.to]?.lower === 'had'
    }
    return false
  }

  #narrator(range: TextRange, index: number, subject: boolean): void {
    const known = this.#byWord.get('narrator')?.[0]
    this.#appear(known ?? this.#add({ labels: ['narrator'], name: 'narrator', plural: false, thing: false, named: false }, 'narrator'), index, range, { subject, meant: true })
  }

  /** Beings, last spoken of first, within some sentences. */
  #recent(index: number, reach = REACH): Being[] {
    const worth = (being: Being) => {
      const { sentence, order, subject } = this.#last.get(being)!
      return -(index - sentence) * 100 + order / 1e6 + (subject ? 60 : 0)
    }
    return [...this.#last.keys()].filter((being) => index - this.#last.get(being)!.sentence <= reach).sort((a, b) => worth(b) - worth(a))
  }

  /** Whom a pronoun stands for; as an object it is not whoever is doing something in the same clause. */
  #standsFor(pronoun: 'he' | 'she' | 'they' | 'it', index: number, object = false): Being[] {
    const acting = object ? this.appearances.findLast(({ sentence, subject }) => sentence === index && subject)?.being : undefined
    const all = this.#recent(index)
    const others = all.filter((being) => being !== acting)
    const recent = others.length ? others : all
    if (pronoun === 'they') {
      // “the two of them … they”: the same two, while one of them is whom the story follows.
      const last = recent.find((being) => !being.plural && !being.thing)
      if (last && this.#they.length > 1 && this.#they.includes(last) && this.#they.every((being) => !being.plural) && !recent.some((being) => being.plural && !being.thing && this.#last.get(being)!.sentence >= this.#last.get(last)!.sentence)) {
        const two = recent.filter((being) => !being.plural && !being.thing && index - this.#last.get(being)!.sentence <= 1)
        if (two.length < 2 || two.every((being) => this.#they.includes(being))) return this.#they
      }
      const people = recent.filter((being) => !being.plural && !being.thing && index - this.#last.get(being)!.sentence <= 4)
      const plural = recent.find((being) => being.plural && !(being.thing && people.length > 1))
      const singles = recent.filter((being) => !being.plural && !(being.thing && !being.named && recent.filter((other) => !other.plural && !other.thing && index - this.#last.get(other)!.sentence <= 2).length > 1))
      const at = (being: Being | undefined) => (being ? this.#last.get(being)!.sentence : -99)
      const close = singles.filter((being) => index - at(being) <= 2)
      if (plural && at(plural) >= at(close[0]) - 1 && (index - at(plural) <= 2 || close.length < 2) && !(close.length > 1 && at(plural) < at(close[1]))) return [plural]
      if (close.length > 1) return close.slice(0, 4).sort((a, b) => this.beings.indexOf(a) - this.beings.indexOf(b))
      if (this.#they.some((being) => recent.includes(being))) return this.#they
      if (plural) return [plural]
      return singles.length > 1 ? singles.slice(0, 2) : []
    }
    if (pronoun === 'it') {
      const thing = recent.find((being) => being.thing && !being.plural && index - this.#last.get(being)!.sentence <= 2)
      return thing ? [thing] : []
    }
    const gender: Gender = pronoun === 'he' ? 'male' : 'female'
    // The one last spoken of, doers first; a gender that is known counts for less than who is telling the story along.
    const closeness = (being: Being) => (this.#last.get(being)!.sentence - index) * 100 + (this.#last.get(being)!.subject ? 60 : 0) + (being.gender === gender ? 50 : 0) - (being.thing && !being.named ? 120 : 0)
    const fit = recent.filter((being) => !being.plural && (being.gender === gender || being.gender === undefined) && being.name !== 'narrator').sort((a, b) => closeness(b) - closeness(a))
    const chosen = fit[0] ?? [...this.#last.keys()].reverse().find((being) => !being.plural && being.gender === gender)
    if (chosen) chosen.gender ??= gender
    return chosen ? [chosen] : []
  }

  #pronoun(tokens: readonly StoryToken[], i: number, index: number): void {
    const token = tokens[i]!
    const next = tokens[i + 1]
    const subject = next !== undefined && (next.tag === VERB || next.tag === AUX || next.tag === ADV)
    const lower = token.lower.replace(/['’](?:d|s|ll|re|ve|m)$/, '')
    let who: Being[]
    if (/^(?:he|him|himself)$/.test(lower)) who = this.#standsFor('he', index, lower === 'him')
    else if (/^(?:she|herself)$/.test(lower)) who = this.#standsFor('she', index)
    else if (lower === 'her') {
      const owns = next !== undefined && (next.tag === NOUN || next.tag === ADJ)
      who = this.#standsFor('she', index, !owns)
      if (owns) who = who.filter((being) => (this.#last.get(being)?.sentence ?? -9) >= index - 2)
    } else if (/^(?:they|them|themselves|both)$/.test(lower)) who = this.#they = this.#standsFor('they', index, lower === 'them')
    else if (/^(?:it|itself)$/.test(lower)) {
      if (/^(?:was|is)$/.test(next?.lower ?? '') && !this.#recent(index, 1).some((being) => being.thing && !being.plural)) return
      who = this.#standsFor('it', index)
    } else if (lower === 'i' || lower === 'me' || lower === 'myself') {
      this.#narrator(token, index, subject)
      return
    } else if (/^(?:we|us|ourselves)$/.test(lower)) {
      this.#narrator(token, index, subject)
      who = this.#recent(index, 3).filter((being) => being.name !== 'narrator').slice(0, 2)
    } else return
    for (const being of who) this.#appear(being, index, token, { subject: subject || /^(?:he|she|they)$/.test(lower), meant: true })
  }
}
