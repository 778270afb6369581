import type { Combinations, Difference, Draft, Edit, EngineProfile, Facet, Finding, HouseRules, WritingStyleBody, StyleCloseness, Output, Reading, SlotValues, TemplateSlot, TextChange, TrialBody } from '@idolon/core'
import type { ProposalUnit } from '@idolon/core/helper'
import type { Filled, FixedFacet, InStyle, Rewritten, Style, Trim } from '@idolon/core/reader'

/** A question about the text that the worker has, by kind, with the answer it gets. */
export interface Asks {
  /** Terms of the glossary that fit what is said. */
  suggest: { ask: { facet: Facet; typed: string; most: number }; answer: string[] }
  /** Terms of the glossary that go on from what is typed, those that fit first. */
  complete: { ask: { typed: string; most: number }; answer: { term: string; facet: Facet }[] }
  /** A draft as a list or as sentences. */
  rewrite: { ask: { draft: Draft; style: Style }; answer: Rewritten }
  /** A draft as an engine is given it. */
  output: { ask: { draft: Draft; engine: EngineProfile }; answer: Output }
  /** What to take out of a draft so that it fits an engine. */
  trim: { ask: { draft: Draft; engine: EngineProfile }; answer: Trim }
  /** All in which two drafts differ; of each unit, the edit of the first draft that makes it alone. */
  differences: { ask: { before: Draft; after: Draft }; answer: { difference: Difference; edit: Edit }[] }
  /** What a helper proposes, unit by unit, with what the checks find in it that they do not find in the draft. */
  proposal: { ask: { draft: Draft; proposed: Draft; engine?: EngineProfile | undefined; rules?: HouseRules | undefined; ownWords?: readonly string[] | undefined }; answer: { units: ProposalUnit[]; elsewhere: Finding[] } }
  /** The edit that takes units of a proposal. */
  take: { ask: { draft: Draft; proposed: Draft; chosen: readonly number[]; helper: { id: string; version: number } }; answer: Edit }
  /** What is still proposed when units are left. */
  leave: { ask: { draft: Draft; proposed: Draft; left: readonly number[] }; answer: Draft }
  /** What another text says. */
  read: { ask: { text: string }; answer: Reading }
  /** A template filled with rows of values; a slot without one has what it says by itself. */
  fill: { ask: { text: string; slots: readonly TemplateSlot[]; rows: readonly SlotValues[] }; answer: Filled[] }
  /** The frame that texts share, with what stands in its slots text by text. */
  learn: { ask: { texts: readonly string[] }; answer: { text: string; slots: TemplateSlot[]; rows: SlotValues[] } }
  /** What examples have in common as writing; how close each of them is to it. */
  learnWritingStyle: { ask: { name: string; texts: readonly string[] }; answer: { writingStyle: WritingStyleBody; examples: number[] } }
  /** A word, a line or a draft written in a writing style. */
  inStyle: { ask: { writingStyle: WritingStyleBody; source: string; words?: number | undefined; take: number }; answer: InStyle & { closeness: StyleCloseness; examples: number[] } }
  /** How close a text is to a writing style, and how close its examples are. */
  styleCloseness: { ask: { writingStyle: WritingStyleBody; text: string }; answer: { closeness: StyleCloseness; examples: number[] } }
  /** The combinations of a trial plan. */
  combinations: { ask: Pick<TrialBody, 'factors' | 'way' | 'skip'>; answer: Combinations }
  /** What is wrong with a draft before it is tried; `ownWords` are right here though no dictionary has them. */
  check: { ask: { draft: Draft; engine?: EngineProfile | undefined; rules?: HouseRules | undefined; ownWords?: readonly string[] | undefined }; answer: Finding[] }
}
export type AskKind = keyof Asks

/** To the worker: a whole text, or what changed in the text of an earlier message, each with the revision it makes; or a question. */
export type ToWorker =
  | { type: 'text'; revision: number; text: string; fixed: readonly FixedFacet[] }
  | { type: 'edit'; revision: number; base: number; changes: TextChange[]; fixed: readonly FixedFacet[] }
  | { [K in AskKind]: { type: 'ask'; id: number; kind: K } & Asks[K]['ask'] }[AskKind]

/** From the worker: that it can read, what it read, that it has not the text an edit was made on, or an answer. */
export type FromWorker =
  | { type: 'ready' }
  | { type: 'reading'; revision: number; reading: Reading }
  | { type: 'behind'; revision: number }
  | { type: 'answer'; id: number; answer: Asks[AskKind]['answer'] }
