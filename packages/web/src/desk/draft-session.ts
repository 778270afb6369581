import { defaultKeymap, historyKeymap, redo, redoDepth, undo, undoDepth } from '@codemirror/commands'
import { Compartment, EditorState, Transaction } from '@codemirror/state'
import { EditorView, keymap, placeholder } from '@codemirror/view'
import { readPrompt, type Prompt } from '@idolon/contract'
import { type Draft, type Edit, editBetween, fixedFacetsOf, isEmptyEdit, MAX_TEXT } from '@idolon/core'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { onChange } from '../api/changes.ts'
import { useNotices } from '../notices/notices.ts'
import { cutMark, showCut } from '../reading/cut-mark.ts'
import { findingMarks, showFindings } from '../reading/finding-marks.ts'
import { phraseHighlight, pointAt } from '../reading/phrase-highlight.ts'
import { ReadingClient, startReadingWorker } from '../reading/reading-client.ts'
import { termHover } from '../reading/term-hover.ts'
import { useGlossary } from '../stores/glossary.ts'
import { usePhrases } from '../stores/phrases.ts'
import { useRules } from '../stores/rules.ts'
import type { CompletionSources } from './completion.ts'
import { DraftSaver, sendOrphan } from './draft-saver.ts'
import { draftExtensions, draftOf, editOf, fromServer, onTooLong, transactionFor } from './draft-state.ts'
import { clientsWithEdits, deleteLocally, holdClient, type LocalDraft, takeOver } from './local-drafts.ts'

/** Two drafts of one prompt, of which the writer chooses one. */
export interface Conflict {
  mine: Draft
  theirs: Prompt
  /** Where mine came from: this page, or one that is gone. */
  from: 'here' | 'before'
}

const TOO_LONG = `A draft holds ${MAX_TEXT.toLocaleString('en')} characters. What you pasted or typed would pass that and was not taken in; what was there is kept.`

/** A prompt's draft in an editor: typing, undo, saving, and what happens when another page writes too. */
export function useDraftSession(prompt: Prompt) {
  const notices = useNotices()
  const phrases = usePhrases()
  const rules = useRules()
  const vocabulary = useGlossary()
  void phrases.load(prompt.projectId)
  void rules.load(prompt.projectId)
  // Not needed to begin to write: loaded once the page stands.
  void vocabulary.load(prompt.projectId).catch(() => undefined)
  const client = crypto.randomUUID()
  onScopeDispose(holdClient(client))
  const leaving = new AbortController()
  onScopeDispose(() => leaving.abort())

  const draft = shallowRef<Draft>(prompt.draft)
  const conflict = shallowRef<Conflict>()
  /** Where the caret stands in the text. */
  const caret = ref(0)
  const canUndo = ref(false)
  const canRedo = ref(false)
  let goOnFrom: number | undefined

  const saver = new DraftSaver(prompt.id, client, prompt.revision, prompt.savedAt, () => draft.value, () => void meet('here'), (message) => {
    notices.show(message, { problem: true })
  })

  function see(transactions: readonly Transaction[], state: EditorState): void {
    draft.value = draftOf(state)
    canUndo.value = undoDepth(state) > 0
    canRedo.value = redoDepth(state) > 0
    for (const tr of transactions) {
      if (tr.annotation(fromServer)) continue
      const edit = editOf(tr)
      if (isEmptyEdit(edit)) continue
      saver.push({ edit, ...(goOnFrom === undefined ? {} : { goOnFrom }) })
    }
  }

  const completing = new Compartment()
  const completions: CompletionSources = {
    phrases: () => phrases.all,
    own: () => [...rules.rules.colours.map(({ name }) => ({ text: name, detail: 'colour, house rules' })), ...vocabulary.own.flatMap(({ entry }) => [entry.term, ...(entry.also ?? [])].map((text) => ({ text, detail: `${entry.facet}, your term` })))],
    terms: (typed, most) => reading.ask('complete', { typed, most }),
  }
  /** Completion is loaded when something is first written: nobody needs it before. */
  let completed: Promise<void> | undefined
  const loadCompletion = () =>
    import('./completion.ts').then(
      ({ offerCompletions, phraseCompletion }) => {
        if (leaving.signal.aborted) return
        view.dispatch({ effects: completing.reconfigure(phraseCompletion(completions)) })
        offerCompletions(view)
      },
      // Writing goes on without it; the next letter asks again.
      () => (completed = undefined),
    )

  const view = new EditorView({
    state: EditorState.create({
      doc: prompt.draft.text,
      extensions: [
        draftExtensions(prompt.draft),
        phraseHighlight,
        findingMarks,
        cutMark,
        completing.of([]),
        termHover(() => ({ glossary: vocabulary.glossary, associations: vocabulary.associations })),
        // Ctrl Enter tries the prompt; the editor's own command would put an empty line into it first.
        keymap.of([...historyKeymap, ...defaultKeymap.filter(({ key }) => key !== 'Mod-Enter')]),
        EditorView.lineWrapping,
        EditorView.contentAttributes.of({ 'aria-label': 'Text of the prompt', spellcheck: 'true', autocapitalize: 'sentences' }),
        placeholder('Say what the picture shows'),
        onTooLong.of(() => {
          notices.show(TOO_LONG, { problem: true })
        }),
        EditorView.updateListener.of((update) => {
          if (update.selectionSet || update.docChanged) caret.value = update.state.selection.main.head
          if (update.docChanged) completed ??= loadCompletion()
          // What is only shown over the text changes nothing of the draft.
          const changes = (tr: Transaction) => tr.docChanged || tr.effects.some((effect) => !effect.is(pointAt) && !effect.is(showFindings) && !effect.is(showCut))
          if (update.transactions.some(changes)) see(update.transactions, update.state)
        }),
      ],
    }),
  })

  const reading = new ReadingClient(startReadingWorker)
  onScopeDispose(() => reading.stop())
  const facetsByHand = computed(() => fixedFacetsOf(draft.value.marks))
  watch([() => draft.value.text, facetsByHand], ([text, locked]) => reading.update(text, locked), { immediate: true })

  /** One undoable edit. */
  function apply(edit: Edit, fromVersion?: number): void {
    goOnFrom = fromVersion
    if (isEmptyEdit(edit) && fromVersion !== undefined) saver.push({ edit, goOnFrom: fromVersion })
    else view.dispatch(transactionFor(edit, { userEvent: 'edit' }))
    goOnFrom = undefined
  }

  const change = (next: Partial<Draft>, fromVersion?: number): void => apply(editBetween(draft.value, { ...draft.value, ...next }), fromVersion)

  /** Shows what the server has. Undo brings back what stood here. */
  function follow(server: Prompt): void {
    const edit = editBetween(draft.value, server.draft)
    if (!isEmptyEdit(edit)) view.dispatch(transactionFor(edit, { annotations: [fromServer.of(true)] }))
    saver.rebase(server.revision, [])
  }

  async function meet(from: Conflict['from'], mine: Draft = draft.value): Promise<void> {
    try {
      const theirs = await call(readPrompt, { params: { prompt: prompt.id } })
      if (isEmptyEdit(editBetween(mine, theirs.draft))) follow(theirs)
      else conflict.value = { mine, theirs, from }
    } catch (error) {
      notices.showError(error)
      setTimeout(() => void meet(from, mine), 3_000)
    }
  }

  function decide(choice: 'mine' | 'theirs'): void {
    const open = conflict.value
    if (!open) return
    conflict.value = undefined
    follow(open.theirs)
    if (choice === 'mine') apply(editBetween(draft.value, open.mine))
    view.focus()
  }

  /** What a page that is gone had not sent is joined on, or offered beside what is there. */
  async function recover(): Promise<void> {
    const others = (await clientsWithEdits(prompt.id)).filter((other) => other !== client)
    await Promise.all(
      others.map((other) =>
        takeOver(prompt.id, other, leaving.signal, recoverOne).catch((error: unknown) => {
          if (!leaving.signal.aborted) throw error
        }),
      ),
    )
  }
  async function recoverOne(local: LocalDraft): Promise<void> {
    const joined = await sendOrphan(local)
    await deleteLocally(local.promptId, local.client)
    if (joined) {
      const server = await call(readPrompt, { params: { prompt: prompt.id } })
      if (!saver.hasPending) follow(server)
      notices.show('What you had written and not yet saved is back.')
    } else await meet('before', local.draft)
  }

  onChange((event) => {
    const mayBeNewer = event === 'reset' || (event.kind === 'draft' && event.promptId === prompt.id && event.client !== client && (event.revision ?? 0) > saver.acknowledged)
    if (!mayBeNewer || conflict.value) return
    if (saver.hasPending) return
    void call(readPrompt, { params: { prompt: prompt.id } })
      .then((server) => {
        if (server.revision === saver.acknowledged || saver.hasPending) return
        follow(server)
        if (event !== 'reset') notices.show('This prompt was changed in another window; it now stands as it does there. Undo brings yours back.')
      })
      .catch(() => undefined)
  })

  const onHide = () => {
    if (document.visibilityState === 'hidden') saver.hurry()
  }
  document.addEventListener('visibilitychange', onHide)
  const onLeave = () => {
    saver.hurry()
  }
  window.addEventListener('pagehide', onLeave)
  onScopeDispose(() => {
    document.removeEventListener('visibilitychange', onHide)
    window.removeEventListener('pagehide', onLeave)
    saver.stop()
    view.destroy()
  })
  void recover().catch((error: unknown) => {
    notices.showError(error)
  })

  return {
    view,
    draft,
    saver,
    caret,
    reading,
    conflict,
    decide,
    apply,
    change,
    canUndo,
    canRedo,
    undo: () => undo(view),
    redo: () => redo(view),
    saveState: computed(() => saver.state.value),
  }
}

export type DraftSession = ReturnType<typeof useDraftSession>
