import { useLocalStorage } from '@vueuse/core'
import type { Verdict } from '@idolon/contract'
import type { Fault } from '@idolon/core'

export const VERDICTS: readonly Verdict[] = ['keep', 'maybe', 'drop']

/** Single letters for verdicts: the first letters of the words, until the writer changes them. */
export const verdictKeys = useLocalStorage<Record<Verdict, string>>('idolon.verdict-keys', { keep: 'k', maybe: 'm', drop: 'd' }, { mergeDefaults: true })
/** Single letters for faults; each stands in the word. */
export const faultKeys = useLocalStorage<Record<Fault, string>>('idolon.fault-keys', { 'extra-people': 'e', 'spoiled-lettering': 's', 'wrong-colour': 'c', 'too-small': 't', 'wrong-period': 'p', 'odd-anatomy': 'a', clutter: 'l', other: 'o' }, { mergeDefaults: true })

/** Commands on single letters can be switched off (WCAG 2.1.4). */
export const letterKeys = useLocalStorage('idolon.letter-keys', true)
