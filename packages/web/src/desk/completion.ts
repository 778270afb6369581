import { autocompletion, completionKeymap, type Completion, type CompletionResult, type CompletionSource } from '@codemirror/autocomplete'
import type { Extension } from '@codemirror/state'
import { keymap } from '@codemirror/view'
import type { ProjectPhrase } from '@idolon/contract'
import { FACETS, TERMS_BY_FACET } from '@idolon/core'

/** The most words of what stands before the caret that a phrase may begin with. */
const WORDS = 4
const PHRASE_FROM = 2
const TERM_FROM = 3
const SHOWN = 8

/** Phrases and terms that what stands before the caret begins: the project’s kept phrases first, then those of its proven prompts, then the glossary’s terms. */
export const phraseCompletions =
  (phrases: () => readonly ProjectPhrase[]): CompletionSource =>
  (context): CompletionResult | null => {
    const line = context.state.doc.lineAt(context.pos)
    const before = line.text.slice(0, context.pos - line.from)
    // Inside a word nothing is offered.
    if (/^[\p{L}\p{N}]/u.test(line.text.slice(context.pos - line.from))) return null
    const segment = /[\p{L}\p{N}][\p{L}\p{N} '’-]*$/u.exec(before)?.[0] ?? ''
    const starts = [...segment.matchAll(/[\p{L}\p{N}][\p{L}\p{N}'’-]*/gu)].map((word) => word.index).slice(-WORDS)
    for (const start of starts) {
      const typed = segment.slice(start).toLowerCase()
      const options = completionsOf(typed, phrases())
      if (options.length) return { from: context.pos - (segment.length - start), options, filter: false }
    }
    return null
  }

function completionsOf(typed: string, phrases: readonly ProjectPhrase[]): Completion[] {
  const goesOn = (text: string) => text.length > typed.length && text.toLowerCase().startsWith(typed)
  const own = typed.length < PHRASE_FROM ? [] : phrases.filter(({ text }) => goesOn(text)).map(({ text, from }) => ({ label: text, detail: from ? `from ${from.title}` : 'kept' }))
  const terms = typed.length < TERM_FROM ? [] : FACETS.flatMap((facet) => TERMS_BY_FACET[facet].filter(goesOn).map((label) => ({ label, detail: facet })))
  const seen = new Set<string>()
  return [...own, ...terms.sort((a, b) => a.label.length - b.label.length)].filter(({ label }) => !seen.has(label.toLowerCase()) && seen.add(label.toLowerCase())).slice(0, SHOWN)
}

/** Offers phrases while writing. Nothing is chosen until an arrow key chooses it, so that Enter stays a line end. */
export const phraseCompletion = (phrases: () => readonly ProjectPhrase[]): Extension => [
  autocompletion({ override: [phraseCompletions(phrases)], icons: false, selectOnOpen: false, interactionDelay: 0, activateOnTypingDelay: 150, defaultKeymap: false, aboveCursor: false }),
  keymap.of(completionKeymap),
]
