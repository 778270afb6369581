import { pluralOf } from '../../english/noun.ts'
import type { WordTable } from '../../read/words/word-table.ts'
import { beingWorth, type Gender, genderOf, isAnimal, isGroup, plainBeing, TITLES } from './beings.ts'
import { type Being, CastMemory } from './cast-memory.ts'
import { ABSENT_AFTER, AGED, SPEECH, MEANT_FOR, GENERIC, DISTINCT, SUBORDINATE, NAMED, GATHERS, YOUNG, BESIDE, BY, PART, STANDS, VESSEL, BE } from './cast-words.ts'
import type { Names } from './names.ts'
import { labelOf, type NounPhrase } from '../../structure/noun-phrases.ts'
import { ADJ, ADV, AUX, NOUN, NUM, PRON, VERB } from '../../read/parts-of-speech.ts'
import { placeWorth } from './place-words.ts'
import type { Word } from '../../structure/word.ts'
import type { Sentence } from './sentences.ts'


const COUNT: Readonly<Record<string, number>> = { two: 2, three: 3, four: 4, five: 5 }

/** Finds who is where in a story, sentence by sentence, names, roles and pronouns followed. */
export class CastFinder {
  readonly memory = new CastMemory()
  /** The sentence that last spoke of a vessel. */
  #vessel = -99
  /** They are spoken to, and are there though they do nothing. */
  readonly addressed = new Set<Being>()

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
    if (tokens.some(({ lower, quoted }) => !quoted && VESSEL.test(lower))) this.#vessel = index
    let passed = -1
    for (let i = 0; i < tokens.length; i++) {
      const token = tokens[i]!
      if (token.quoted || i <= passed) continue
      const phrase = byFrom.get(i)
      if (phrase) {
        // Whom a possessive stands for is there as well where it was there before: “his cat”.
        this.#owners(tokens, phrase, index)
        this.#phrase(tokens, phrase, phrases, index)
        if (phrase.of) this.#within(tokens, phrase, index)
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
    const known = this.memory.find(role, false)
    const shown = speaker === speaker!.toUpperCase() ? (beingWorth(role, this.words) >= 0.5 ? lower : lower.replace(/(?:^|\s)\p{L}/gu, (letter) => letter.toUpperCase())) : speaker!
    const being = known ?? this.memory.add({ labels: [shown], name: shown, plural: isGroup(role), thing: false, named: beingWorth(role, this.words) < 0.5, ...this.#genderPart(role) }, shown)
    this.memory.appear(being, index, { start, end: tokens[0]!.end }, { subject: true, meant: false })
  }

  #genderPart(head: string): { gender?: Gender } {
    const gender = genderOf(head)
    return gender ? { gender } : {}
  }

  #owners(tokens: readonly Word[], phrase: NounPhrase, index: number): void {
    for (let i = phrase.from; i < phrase.head; i++) {
      const token = tokens[i]!
      if (/^(?:his|her|their|its)$/.test(token.lower)) {
        // “a farmer and his son”
        const joined = tokens[i - 1]?.lower === 'and' ? this.memory.appearances.findLast(({ sentence, end }) => sentence === index && end === tokens[i - 2]?.end) : undefined
        if (joined) continue
        if (token.lower === 'her' && this.#ofVessel(index)) continue
        const owner = this.memory.standsFor(token.lower === 'his' ? 'he' : token.lower === 'her' ? 'she' : token.lower === 'their' ? 'they' : 'it', index)
        for (const being of owner) if ((this.memory.lastOf(being) ?? -9) >= index - 4) this.memory.appear(being, index, token, { subject: false, meant: true })
      } else if (/^(?:my|our)$/.test(token.lower)) this.memory.narrator(token, index, false)
      else if (/['’]s$/.test(token.lower)) {
        const owner = this.names.isName(token) ? this.#named(tokens, { from: i, to: i + 1, head: i, name: true, determiner: '' }) : undefined
        // “The beggar’s feet carried him”: where the feet are, the beggar is.
        const role = token.lower.replace(/['’]s$/, '')
        if (!owner && PART.test(tokens[phrase.head]!.lower) && beingWorth(role, this.words) >= 1) {
          const being = this.memory.find(role, isGroup(role)) ?? this.memory.add({ labels: [role], name: role, plural: isGroup(role), thing: isAnimal(role, this.words), named: false, ...this.#genderPart(role) }, role)
          this.memory.appear(being, index, token, { subject: true, meant: false })
        }
        if (owner) this.memory.appear(owner, index, token, { subject: false, meant: true })
      }
    }
  }

  /** Whether a sentence's verb comes right after a phrase, past adverbs, an apposition or a relative clause. */
  #acts(tokens: readonly Word[], phrase: NounPhrase): boolean {
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

  /** Whether “she” may be a vessel: one was just spoken of, and no woman. */
  #ofVessel(index: number): boolean {
    return index - this.#vessel <= 4 && !this.memory.recent(index).some(({ gender }) => gender === 'female')
  }

  #phrase(tokens: readonly Word[], phrase: NounPhrase, phrases: readonly NounPhrase[], index: number): void {
    const head = tokens[phrase.head]!
    const lower = head.lower.replace(/['’]s$|['’]$/, '')
    const before = tokens[phrase.from - 1]
    if (!phrase.name && phrase.of && GATHERS.test(lower) && beingWorth(lower, this.words) < 0.5 && beingWorth(tokens[phrase.of.head]!.lower, this.words) >= 0.5) {
      this.#gathered(tokens, phrase, index)
      return
    }
    const after = tokens[phrase.to]
    const range = { start: tokens[phrase.from]!.start, end: head.end }
    // “Deep inside sat a creature”
    const inverted = before !== undefined && STANDS.test(before.lower) && /^(?:an?|one|two|three|four|five|some|another|the)$/.test(phrase.determiner || 'the') && !phrases.some((other) => other.to === phrase.from - 1 && beingWorth(tokens[other.head]!.lower, this.words) + Number(other.name) > 0) && phrase.from > 1
    const acts = inverted || this.#acts(tokens, phrase)
    const saidBefore = before && SPEECH.test(before.lower) && (tokens[phrase.from - 2]?.quoted === true || phrase.from === 1)
    const alive = phrase.name || this.animated.has(lower) || beingWorth(lower, this.words) > 0
    const speaks = alive && ((after && SPEECH.test(after.lower) && !after.quoted) || saidBefore)
    const given = phrase.name ? this.#named(tokens, phrase) : undefined
    const ordinal = acts && phrase.determiner === 'the' && !phrase.of && /^(?:eldest|oldest|youngest|elder|younger)$/.test(lower)
    const worth = phrase.name || ordinal ? 1 : this.animated.has(lower) ? 0.8 : beingWorth(lower, this.words)
    // “the two of them”
    if (phrase.determiner === 'the' && /^(?:two|three|four|five|pair)$/.test(lower)) {
      for (const being of (this.memory.they = this.memory.standsFor('they', index))) this.memory.appear(being, index, range, { subject: acts, meant: true })
      return
    }
    if (phrase.name && !given) return
    if (!phrase.name && worth < 0.3 && !(speaks && before?.lower !== 'of')) {
      if (acts && phrase.determiner !== '') this.memory.thingAt = index
      return
    }
    if (!phrase.name && /^(?:no|any|neither|what|which)$/.test(phrase.determiner)) return
    // “each pupil” is one of those who are there.
    if (!phrase.name && /^(?:every|each)$/.test(phrase.determiner)) {
      const group = this.memory.find(pluralOf(lower), true)
      if (group) this.memory.appear(group, index, range, { subject: acts, meant: false })
      return
    }
    // People in general are nobody.
    if (!phrase.name && worth === 0.3 && (phrase.of || !/^(?:the|these|those|two|both)$/.test(phrase.determiner))) return
    // A noun of a person that only tells what another noun is: “the shepherd boy” ends in its head and is taken whole.
    if (!phrase.name && worth < 1 && worth !== 0.3 && !acts && !speaks && !this.memory.find(lower, isGroup(lower))) return
    const alias = this.#apposed(tokens, phrase, phrases)
    // “They had been enemies”: what somebody is, is nobody more.
    if (!given && !alias && before && BE.test(before.lower) && phrase.determiner !== 'the' && !/^(?:there|here)$/.test(tokens[phrase.from - 2]?.lower ?? '') && phrase.from >= 2) return
    const being = given ?? alias ?? this.#role(tokens, phrase, index, worth, speaks === true)
    if (!being) return
    if (before?.lower === 'to' && tokens.some(({ lower: word, quoted, start }) => !quoted && start < range.start && SPEECH.test(word))) this.addressed.add(being)
    if (this.#away(tokens, phrase, being, acts)) {
      // Only owned or spoken of, but a pronoun may come back to it: “the stomach of a boy. He …”
      if (before?.lower === 'of') this.memory.mention(being, index)
      return
    }
    this.memory.appear(being, index, range, { subject: acts || speaks === true, meant: false })
  }

  /** Whom a part of somebody is of: “the stomach of a boy”. Of anything else they are only known from now on, for a pronoun to come back to. */
  #within(tokens: readonly Word[], { head, of }: NounPhrase, index: number): void {
    const lower = tokens[of!.head]!.lower
    const beside = BY.test(tokens[head]!.lower)
    if (of!.name || GATHERS.test(tokens[head]!.lower) || beingWorth(lower, this.words) < 1 || (isGroup(lower) && !beside)) return
    const being = this.#role(tokens, of!, index, 1, false)
    if (!being) return
    if (beside || PART.test(tokens[head]!.lower)) this.memory.appear(being, index, { start: tokens[of!.from]!.start, end: tokens[of!.to - 1]!.end }, { subject: false, meant: false })
    else this.memory.mention(being, index)
  }

  /** Those who are counted or gathered: “a column of soldiers”. */
  #gathered(tokens: readonly Word[], phrase: NounPhrase, index: number): void {
    const members = phrase.of!
    const being = this.#role(tokens, { ...members, determiner: phrase.determiner }, index, 1, false)
    if (being) this.memory.appear(being, index, { start: tokens[phrase.from]!.start, end: tokens[members.to - 1]!.end }, { subject: this.#acts(tokens, phrase), meant: false })
  }

  /** A name's being; undefined where it names a place. */
  #named(tokens: readonly Word[], phrase: NounPhrase): Being | undefined {
    const parts = tokens.slice(phrase.from, phrase.to).filter(({ kind, lower }) => kind !== 'mark' && lower !== phrase.determiner)
    if (!parts.length) return undefined
    const head = tokens[phrase.head]!
    const label = parts.map(({ text }) => text).join(' ').replace(/['’]s$|['’]$/, '')
    const key = head.lower.replace(/['’]s$|['’]$/, '')
    const titled = parts.length > 1 && TITLES.has(parts[0]!.lower)
    const known = parts.map(({ lower }) => lower.replace(/['’]s$|['’]$/, '')).filter((word) => !TITLES.has(word) || parts.length === 1).map((word) => this.memory.find(word, false, (being) => being.named || parts.length === 1)).find(Boolean)
    if (known) {
      const words = (said: string) => said.toLowerCase().split(/\s+/)
      // Two who share a family name are two: “Ada Brenn” and “Otto Brenn”.
      const other = known.labels.find((one) => words(one).length > 1 && parts.length > 1 && words(one).at(-1) === key && words(one)[0] !== parts[0]!.lower && !TITLES.has(words(one)[0]!) && !titled)
      if (!other) {
        this.memory.call(known, label)
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
    return this.memory.add({ labels: [label], name: label, plural, thing: isAnimal(key, this.words), named: true, ...(gender ? { gender } : {}) }, label)
  }

  /** Who a role stands for that is said beside a name: “Maud the owl”, “his sister Ann”, “a girl named Elin”, “Ada was a weaver”. */
  #apposed(tokens: readonly Word[], phrase: NounPhrase, phrases: readonly NounPhrase[]): Being | undefined {
    if (phrase.name) return undefined
    const lower = tokens[phrase.head]!.lower
    const label = labelOf(this.story, tokens, phrase)
    const join = (being: Being | undefined) => {
      if (!being) return undefined
      this.memory.call(being, label)
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
    if (previous?.name && previous.to === phrase.from && phrase.determiner === 'the') return join(this.memory.find(tokens[previous.head]!.lower, false))
    if (previous?.name && previous.to + 1 === phrase.from && tokens[previous.to]?.text === ',' && /^(?:the|an?|her|his|their|its|my|our)$|['’]s$/.test(phrase.determiner) && this.#closes(tokens, end)) {
      return join(this.memory.find(tokens[previous.head]!.lower, false))
    }
    // “The only passenger, an old man with a violin, asked …”
    if (previous && !previous.name && (previous.of ?? previous).to + 1 === phrase.from && tokens[phrase.from - 1]?.text === ',' && /^an?$/.test(phrase.determiner) && beingWorth(tokens[previous.head]!.lower, this.words) >= 0.8) {
      const close = tokens.findIndex((token, k) => k >= end && token.text === ',')
      if (close > 0 && close - end < 10 && [VERB, AUX].includes(tokens[close + 1]?.tag ?? 0)) return join(this.memory.find(tokens[previous.head]!.lower, isGroup(tokens[previous.head]!.lower)))
    }
    // “The boy is a man now”: the same one, told anew.
    const verb = tokens[phrase.from - 1]
    if (verb && BE.test(verb.lower) && /^(?:an?|the)$/.test(phrase.determiner) && previous && (previous.of ?? previous).to === phrase.from - 1) {
      const subject = previous.name ? this.memory.find(tokens[previous.head]!.lower, false) : this.memory.find(tokens[previous.head]!.lower, isGroup(tokens[previous.head]!.lower))
      return join(subject)
    }
    return undefined
  }

  /** Whether what is set in after a name ends with a comma or the sentence before any verb. */
  #closes(tokens: readonly Word[], from: number): boolean {
    for (let i = from; i < tokens.length && i - from < 10; i++) {
      if (/^[,.;:]$/.test(tokens[i]!.text) || SUBORDINATE.test(tokens[i]!.lower)) return true
      if (tokens[i]!.tag === AUX) return false
    }
    return from >= tokens.length
  }

  #role(tokens: readonly Word[], phrase: NounPhrase, index: number, worth: number, speaks: boolean): Being | undefined {
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
    const known = this.memory.find(lower, group, fits) ?? (distinct ? this.memory.find(distinct, group) : undefined)
    // “a fox” said again is the same one unless the story says “another”.
    if (known && !(indefinite && (phrase.determiner === 'another' || (this.memory.lastOf(known) !== undefined && index - this.memory.lastOf(known)! < 1)))) {
      this.memory.call(known, label)
      const gender = genderOf(lower)
      if (gender) known.gender ??= gender
      return known
    }
    if (GENERIC.test(lower) && !indefinite && !distinct && phrase.determiner !== '') {
      const gender = genderOf(lower)
      const animal = isAnimal(lower, this.words)
      if (group) {
        // “the children” are none who were told of as grown up.
        const them = this.memory.standsFor('they', index)
        if (them.length > 1 && (!YOUNG.test(lower) || them.every((being) => being.named || being.labels.some((one) => YOUNG.test(one.toLowerCase().split(' ').at(-1) ?? ''))))) {
          this.memory.they = them
          for (const being of them) this.memory.appear(being, index, tokens[phrase.head]!, { subject: this.#acts(tokens, phrase), meant: true })
          return undefined
        }
      } else {
        // “the old woman” is nobody who was never called old.
        const aged = modifiers.find((word) => AGED.test(word))
        const same = this.memory.recent(index, 10).find((being) => !being.plural && being.thing === animal && (gender === undefined || being.gender === gender || (being.gender === undefined && !being.labels.some((one) => GENERIC.test(one.toLowerCase())))) && (aged === undefined || being.labels.some((one) => one.toLowerCase().split(' ').includes(aged))))
        if (same) {
          if (gender) same.gender ??= gender
          return same
        }
      }
    }
    // Who is only named by what belongs to somebody is there when acting.
    if (worth < 0.5 && !speaks && worth !== 0.3) return undefined
    const gender = genderOf(lower)
    return this.memory.add({ labels: [label], name: label, plural: group, thing: worth < 0.3 || this.animated.has(lower) || isAnimal(lower, this.words), named: false, ...(gender ? { gender } : {}) }, label)
  }

  /** Said of, but not there: compared with, waited for, remembered, owned by nobody in the scene. */
  #away(tokens: readonly Word[], phrase: NounPhrase, being: Being, acts: boolean): boolean {
    const before = tokens[phrase.from - 1]
    // “more than two hundred residents” are there.
    const counts = before?.lower === 'than' && /^(?:more|less|fewer|other|rather)$/.test(tokens[phrase.from - 2]?.lower ?? '') && tokens.slice(phrase.from, phrase.head).some(({ tag, kind }) => tag === NUM || kind === 'number')
    if (before && ABSENT_AFTER.has(before.lower)) return !counts && !(before.lower === 'as' && acts)
    // “afraid of nothing but mice”
    if (before?.lower === 'but' && /^(?:nothing|anything|everything)$/.test(tokens[phrase.from - 2]?.lower ?? '')) return true
    if (before?.lower === 'of' && !acts) return !BESIDE.test(tokens[phrase.from - 2]?.lower ?? '')
    if (before?.lower === 'for' && MEANT_FOR.test(tokens[phrase.from - 2]?.lower ?? '')) return true
    const known = this.memory.lastOf(being) !== undefined
    // “His physicians had tried poppies”: told of before.
    if (!known && /^(?:his|her|their|my|our|its)$/.test(phrase.determiner) && tokens[phrase.to]?.lower === 'had' && /^(?:died|gone|been|left|taught|told|given|built|made|bought|warned|always|once|never|tried|known|lost|said)$/.test(tokens[phrase.to + 1]?.lower ?? '')) return true
    // “called after the professor”
    if (before?.lower === 'after' && /^(?:called|named)$/.test(tokens[phrase.from - 2]?.lower ?? '')) return true
    if (!known && acts) {
      // “since her father died”, “what his mother had told him”
      for (let i = phrase.from - 1; i >= 0 && phrase.from - i < 4; i--) if (SUBORDINATE.test(tokens[i]!.lower) || /^(?:what|where|when)$/.test(tokens[i]!.lower)) return /^(?:his|her|their|my|our|its)$/.test(phrase.determiner) || tokens[phrase.to]?.lower === 'had'
    }
    return false
  }

  #pronoun(tokens: readonly Word[], i: number, index: number): void {
    const token = tokens[i]!
    const next = tokens[i + 1]
    const subject = next !== undefined && (next.tag === VERB || next.tag === AUX || next.tag === ADV)
    const lower = token.lower.replace(/['’](?:d|s|ll|re|ve|m)$/, '')
    let who: Being[]
    // “Those who had survived … they”: nobody who was told of before.
    if (/^(?:they|them|their|themselves)$/.test(lower) && tokens.some((other, k) => k < i && !other.quoted && /^(?:those|whoever|anyone|everyone|people)$/.test(other.lower) && (other.lower !== 'those' || tokens[k + 1]?.lower === 'who'))) return
    if (/^(?:she|her|herself|hers)$/.test(lower) && this.#ofVessel(index)) return
    if (/^(?:he|him|himself)$/.test(lower)) who = this.memory.standsFor('he', index, lower === 'him')
    else if (/^(?:she|herself)$/.test(lower)) who = this.memory.standsFor('she', index)
    else if (lower === 'her') {
      const owns = next !== undefined && (next.tag === NOUN || next.tag === ADJ)
      who = this.memory.standsFor('she', index, !owns)
      if (owns) who = who.filter((being) => (this.memory.lastOf(being) ?? -9) >= index - 2)
    } else if (/^(?:they|them|themselves|both)$/.test(lower)) who = this.memory.they = this.memory.standsFor('they', index, lower === 'them' && !tokens.slice(Math.max(0, i - 6), i).some(({ lower: word }) => /^(?:anyone|anybody|nobody|someone|somebody|everyone|everybody|he|she|it)$/.test(word)))
    else if (/^(?:two|three|four|five)$/.test(lower) && (tokens[i - 1]?.lower === 'all' || (tokens[i + 1]?.lower === 'of' && tokens[i + 2]?.lower === 'them'))) who = this.memory.they = this.memory.recent(index, 12).filter((being) => !being.plural && !being.thing && being.name !== 'narrator').slice(0, COUNT[lower]).sort((a, b) => this.memory.beings.indexOf(a) - this.memory.beings.indexOf(b))
    else if (/^(?:it|itself)$/.test(lower)) {
      if (/^(?:was|is)$/.test(next?.lower ?? '') && !this.memory.recent(index, 1).some((being) => being.thing && !being.plural)) return
      who = this.memory.standsFor('it', index)
    } else if (lower === 'i' || lower === 'me' || lower === 'myself') {
      this.memory.narrator(token, index, subject)
      return
    } else if (/^(?:we|us|ourselves)$/.test(lower)) {
      this.memory.narrator(token, index, subject)
      who = this.memory.recent(index, 3).filter((being) => being.name !== 'narrator').slice(0, 2)
    } else return
    for (const being of who) this.memory.appear(being, index, token, { subject: subject || /^(?:he|she|they)$/.test(lower), meant: true })
  }
}
