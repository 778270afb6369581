import { Draft, EngineChoice, EngineProfile, Facet, Fault, GlossaryEntry, HouseRules, Output, PartBody, PartKind, SceneBody, Settings, SettingValue, SlotValues, TemplateBody, TrialBody, VersionBody } from '@idolon/core'
import { type Static, type TObject, Type } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, plainText, Sha256, Tag } from './primitives.ts'
import { Project } from './project.ts'
import { Region, Verdict } from './proof.ts'
import { Rights } from './reference.ts'
import { Status } from './prompt.ts'

export const BUNDLE_FORMAT = 'idolon-bundle-1'
const Number1 = Type.Integer({ minimum: 1, maximum: 1_000_000 })
const Count = Type.Integer({ minimum: 0, maximum: 2_147_483_647 })
const ByWhom = plainText(100)

/** The kinds of thing in a bundle, each a list, in the order in which they can be written: what one refers to stands before it. */
export const BUNDLED = {
  projects: Type.Object({ id: Id, name: plainText(120, { minLength: 1 }), createdAt: Instant, currency: plainText(10), rates: Project.properties.rates, ceiling: Project.properties.ceiling, rules: HouseRules }, closed),
  terms: Type.Object({ id: Id, projectId: orNull(Id), facet: Facet, term: plainText(200), entry: GlossaryEntry, savedBy: ByWhom, savedAt: Instant }, closed),
  phrases: Type.Object({ id: Id, projectId: Id, facet: Facet, text: plainText(2_000), keptBy: ByWhom, keptAt: Instant }, closed),
  engines: Type.Object({ id: plainText(60), revision: plainText(60), profile: Type.Omit(EngineProfile, ['connection'], closed) }, { ...closed, description: 'Without where it is and how it is asked: that stays where it is, and so do secrets.' }),
  templates: Type.Object({ id: Id, projectId: orNull(Id), shipped: Type.Boolean(), place: Count, current: Number1, madeBy: ByWhom, madeAt: Instant }, closed),
  templateVersions: Type.Object({ templateId: Id, number: Number1, body: TemplateBody, why: plainText(2_000), shippedAs: orNull(plainText(100)), madeBy: ByWhom, madeAt: Instant }, closed),
  prompts: Type.Object(
    {
      id: Id,
      projectId: Id,
      title: plainText(200),
      status: Status,
      note: plainText(20_000),
      tags: Type.Array(Tag, { maxItems: 60 }),
      bestProofId: orNull(Id),
      copiedFromPrompt: orNull(Id),
      copiedFromVersion: orNull(Number1),
      mergedInto: orNull(Id),
      templateId: orNull(Id),
      templateVersion: orNull(Number1),
      templateLeft: orNull(Number1),
      templateValues: orNull(SlotValues),
      createdBy: ByWhom,
      createdAt: Instant,
      changedAt: Instant,
    },
    closed,
  ),
  drafts: Type.Object({ promptId: Id, body: Draft, firstWords: plainText(400), revision: Count, parentVersion: orNull(Number1), savedAt: Instant }, closed),
  trials: Type.Object({ id: Id, promptId: Id, body: TrialBody, combinations: Type.Array(Type.Array(Count, { maxItems: 12 }), { maxItems: 500 }), askedBy: ByWhom, askedAt: Instant, stoppedAt: orNull(Instant) }, closed),
  versions: Type.Object({ id: Id, promptId: Id, number: Number1, parent: orNull(Number1), body: VersionBody, changes: Type.Array(plainText(4_000), { maxItems: 5_000 }), why: plainText(4_000), createdAt: Instant, trialId: orNull(Id) }, closed),
  runs: Type.Object(
    {
      id: Id,
      promptId: Id,
      versionId: Id,
      draftRevision: Count,
      engines: Type.Array(EngineChoice, { maxItems: 12 }),
      settings: Settings,
      askedBy: ByWhom,
      askedAt: Instant,
      stoppedAt: orNull(Instant),
      byHand: Type.Boolean(),
      sweep: orNull(Type.Object({ key: plainText(60), values: Type.Array(SettingValue, { maxItems: 12 }) }, closed)),
      trialId: orNull(Id),
      trialRow: orNull(Count),
      trialOptions: orNull(Type.Record(Type.String({ maxLength: 100 }), Type.Union([Type.String({ maxLength: 4_000 }), Type.Number()]))),
    },
    closed,
  ),
  proofs: Type.Object(
    {
      id: Id,
      runId: Id,
      promptId: Id,
      versionId: Id,
      engine: Type.Object({ id: plainText(60), name: plainText(60), revision: plainText(60), simulated: Type.Boolean() }, closed),
      place: Count,
      state: Type.Union([Type.Literal('stored'), Type.Literal('failed'), Type.Literal('unknown'), Type.Literal('stopped')]),
      reason: orNull(plainText(2_000)),
      output: Output,
      seed: orNull(Type.Integer({ minimum: 0, maximum: Number.MAX_SAFE_INTEGER })),
      picture: orNull(Sha256),
      costUnit: plainText(60),
      reserved: Count,
      cost: orNull(Count),
      asking: Number1,
      askedAt: Instant,
      sentAt: orNull(Instant),
      storedAt: orNull(Instant),
      tookMs: orNull(Count),
      verdict: orNull(Verdict),
      rank: orNull(Number1),
      note: plainText(10_000),
      faults: Type.Array(Fault, { maxItems: 40 }),
      regions: Type.Array(Region, { maxItems: 400 }),
      parentProof: orNull(Id),
      imported: Type.Boolean(),
    },
    closed,
  ),
  judgements: Type.Object({ id: Id, leftProof: Id, rightProof: Id, better: orNull(Type.Union([Type.Literal('left'), Type.Literal('right')])), judgedBy: ByWhom, at: Instant }, closed),
  references: Type.Object({ id: Id, projectId: Id, picture: Sha256, proofId: orNull(Id), name: plainText(300), source: plainText(4_000), rights: Rights, note: plainText(20_000), metadata: Type.Array(Type.Object({ name: Type.String({ maxLength: 200 }), value: Type.String({ maxLength: 20_000 }) }, closed), { maxItems: 2_000 }), addedBy: ByWhom, addedAt: Instant }, closed),
  parts: Type.Object({ id: Id, projectId: Id, kind: PartKind, current: Number1, madeBy: ByWhom, madeAt: Instant }, closed),
  partVersions: Type.Object({ partId: Id, number: Number1, body: PartBody, why: plainText(2_000), madeBy: ByWhom, madeAt: Instant }, closed),
  series: Type.Object({ id: Id, projectId: Id, name: plainText(120, { minLength: 1 }), story: plainText(200_000), style: orNull(Id), revision: Count, changedAt: Instant, madeBy: ByWhom, madeAt: Instant }, closed),
  scenes: Type.Object(
    {
      id: Id,
      seriesId: Id,
      place: Count,
      promptId: Id,
      body: SceneBody,
      storyStart: orNull(Count),
      storyEnd: orNull(Count),
      touched: Type.Boolean(),
      chosen: orNull(Id),
      composed: Draft,
      leftOut: Type.Array(Type.Object({ part: Id, key: plainText(60), text: plainText(500), reason: plainText(2_000) }, closed), { maxItems: 100 }),
      apart: Type.Boolean(),
      partsLeft: Type.Record(Type.String({ maxLength: 40 }), Number1),
    },
    closed,
  ),
  pairs: Type.Object({ one: Id, other: Id, same: Type.Boolean(), saidBy: ByWhom, saidAt: Instant }, closed),
} as const satisfies Record<string, TObject>
export type BundledKind = keyof typeof BUNDLED
export const BUNDLED_KINDS = Object.keys(BUNDLED) as BundledKind[]
export type BundledRow<K extends BundledKind = BundledKind> = Static<(typeof BUNDLED)[K]>

/** Prompts with everything they need, in a ZIP as bundle.json; pictures lie beside it as pictures/<SHA-256>.<ending>. */
export const Bundle = Type.Object(
  {
    format: Type.Literal(BUNDLE_FORMAT),
    madeAt: Instant,
    ...(Object.fromEntries(BUNDLED_KINDS.map((kind) => [kind, Type.Array(BUNDLED[kind], { maxItems: 200_000 })])) as { [K in BundledKind]: ReturnType<typeof Type.Array<(typeof BUNDLED)[K]>> }),
    pictures: Type.Array(Type.Object({ sha256: Sha256, file: Type.String({ pattern: '^pictures/[0-9a-f]{64}\\.[a-z]{3,4}$' }) }, closed), { maxItems: 200_000 }),
  },
  { title: 'Bundle', ...closed },
)
export type Bundle = Static<typeof Bundle>

/** The schema as it is published, at /api/bundle-schema.json and in docs/bundle.schema.json. */
export const bundleSchema = { $schema: 'https://json-schema.org/draft/2020-12/schema', ...Bundle }
