import { autocompletion, closeCompletion, completionKeymap, type Completion, type CompletionResult, type CompletionSource, startCompletion } from '@codemirror/autocomplete'
import type { Extension } from '@codemirror/state'
import { EditorView, keymap } from '@codemirror/view'
import type { ProjectPhrase } from '@idolon/contract'

/** The most words of what stands before the caret that a phrase may begin with. */
const WORDS = 4
const PHRASE_FROM = 2
const TERM_FROM = 3
const SHOWN = 8

/** Where completions come from: the project’s phrases, its own terms and named colours, and the glossary by facet and fit. */
export interface CompletionSources {
  phrases: () => readonly ProjectPhrase[]
  own: () => readonly { text: string; detail: string }[]
  terms: (typed: string, most: number) => Promise<{ term: string; facet: string }[]>
}

/** Phrases and terms that what stands before the caret begins: the project’s kept phrases first, then those of its proven prompts, its own terms, then the glossary’s that fit. */
export const phraseCompletions =
  (sources: CompletionSources): CompletionSource =>
  async (context): Promise<CompletionResult | null> => {
    const line = context.state.doc.lineAt(context.pos)
    const before = line.text.slice(0, context.pos - line.from)
    // Inside a word nothing is offered.
    if (/^[\p{L}\p{N}]/u.test(line.text.slice(context.pos - line.from))) return null
    const segment = /[\p{L}\p{N}][\p{L}\p{N} '’-]*$/u.exec(before)?.[0] ?? ''
    const starts = [...segment.matchAll(/[\p{L}\p{N}][\p{L}\p{N}'’-]*/gu)].map((word) => word.index).slice(-WORDS)
    for (const start of starts) {
      const typed = segment.slice(start).toLowerCase()
      const options = await completionsOf(typed, sources)
      if (context.aborted) return null
      if (options.length) return { from: context.pos - (segment.length - start), options, filter: false }
    }
    return null
  }

async function completionsOf(typed: string, { phrases, own, terms }: CompletionSources): Promise<Completion[]> {
  const goesOn = ({ text }: { text: string }) => text.length > typed.length && text.toLowerCase().startsWith(typed)
  if (typed.length < PHRASE_FROM) return []
  const offered = [
    ...phrases().filter(goesOn).map(({ text, from }) => ({ label: text, detail: from ? `from ${from.title}` : 'kept' })),
    ...own().filter(goesOn).map(({ text, detail }) => ({ label: text, detail })),
    ...(typed.length < TERM_FROM ? [] : (await terms(typed, SHOWN)).map(({ term, facet }) => ({ label: term, detail: facet }))),
  ]
  const seen = new Set<string>()
  return offered.filter(({ label }) => !seen.has(label.toLowerCase()) && seen.add(label.toLowerCase())).slice(0, SHOWN)
}

/** Offers phrases while writing. Nothing is chosen until an arrow key chooses it, so that Enter stays a line end. */
export const phraseCompletion = (sources: CompletionSources): Extension => [
  autocompletion({ override: [phraseCompletions(sources)], icons: false, selectOnOpen: false, interactionDelay: 0, activateOnTypingDelay: 150, defaultKeymap: false, aboveCursor: false }),
  keymap.of(completionKeymap),
  // Terms are on their way while the writer goes elsewhere; nothing opens behind them.
  EditorView.domEventHandlers({ blur: (_, view) => void closeCompletion(view) }),
]

/** Offers what there is for what stands before the caret now, for one who wrote it before phrases could be offered. */
export const offerCompletions = (view: EditorView): void => {
  if (view.hasFocus) startCompletion(view)
}
