import { Mark, PartBody, SceneBody, Slip } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { Part } from './part.ts'
import { closed, Id, Instant, orNull, plainText } from './primitives.ts'
import { Amount } from './project.ts'
import { Picture, Proof } from './proof.ts'
import { route } from './route.ts'

/** Longest story of a series, in UTF-16 code units. */
export const MAX_STORY = 200_000
export const MAX_SERIES_SCENES = 400
const Range = Type.Object({ start: Type.Integer({ minimum: 0 }), end: Type.Integer({ minimum: 0 }) }, closed)

/** A row of the list of series. */
export const SeriesSummary = Type.Object({ id: Id, projectId: Id, name: Type.String(), scenes: Type.Integer(), chosen: Type.Integer({ description: 'Scenes that have a chosen proof.' }), first: orNull(Picture), changedAt: Instant }, { title: 'SeriesSummary' })
export type SeriesSummary = Static<typeof SeriesSummary>

/** A part that a scene has in an older version than there is. */
const Behind = Type.Object({ part: Id, version: Type.Integer() })

const Override = Type.Object({ given: Type.String(), text: orNull(Type.String({ description: 'What stands there instead; null where it was taken out or written over whole.' })) })

/** One beat of a series with its prompt and what came of it. */
export const Scene = Type.Object(
  {
    id: Id,
    promptId: Id,
    body: SceneBody,
    story: orNull(Range, { description: 'The passage of the story it tells.' }),
    touched: Type.Boolean({ description: 'The passage was rewritten since the scene was last looked at.' }),
    text: Type.String(),
    marks: Type.Array(Mark, { description: 'Those that say where phrases came from.' }),
    leaveOut: Type.Array(Type.String()),
    engine: orNull(Type.String()),
    aspectRatio: orNull(Type.String()),
    revision: Type.Integer(),
    apart: Type.Boolean({ description: 'The text was written otherwise where a change of the scene would have changed it; the change waits.' }),
    left: Type.Array(Type.Object({ part: Id, text: Type.String(), reason: Type.String() }), { description: 'Phrases of its parts that it does not say, for they clash.' }),
    behind: Type.Array(Behind),
    overrides: Type.Array(Type.Object({ part: Id, ...Override.properties }), { description: 'Phrases that a part gives and that are written otherwise here, or not said.' }),
    chosen: orNull(Proof),
    newest: orNull(Proof, { description: 'Its newest proof, where that is not the chosen one.' }),
    stale: Type.Boolean({ description: 'The chosen proof was made from other words than the scene has now.' }),
    proofs: Type.Integer(),
    coming: Type.Integer({ description: 'Proofs that were asked for and have not come.' }),
  },
  { title: 'Scene' },
)
export type Scene = Static<typeof Scene>

/** A series with everything that is shown of it. */
export const Series = Type.Object(
  { id: Id, projectId: Id, name: Type.String(), story: Type.String(), revision: Type.Integer({ description: 'Of the story and the order of scenes.' }), style: orNull(Id), scenes: Type.Array(Scene), parts: Type.Array(Part), changedAt: Instant },
  { title: 'Series' },
)
export type Series = Static<typeof Series>

/** A story as it was split, before anything is kept. */
const SplitScene = Type.Object({
  start: Type.Integer(),
  end: Type.Integer(),
  text: Type.String(),
  beat: Type.String({ description: 'What happens, in one line.' }),
  cast: Type.Array(Type.String()),
  place: orNull(Type.Object({ text: Type.String(), carried: Type.Boolean() })),
  moment: orNull(Type.Object({ text: Type.String(), carried: Type.Boolean() })),
})
export const StorySplit = Type.Object({ scenes: Type.Array(SplitScene), cast: Type.Array(Type.Object({ name: Type.String(), also: Type.Array(Type.String()), scenes: Type.Array(Type.Integer()) })) }, { title: 'StorySplit' })
export type StorySplit = Static<typeof StorySplit>

/** What a changed part would change in a scene. */
export const SceneOffer = Type.Object(
  {
    sceneId: Id,
    partId: Id,
    revision: Type.Integer({ description: 'Of the draft; it is taken by a draft at this revision only.' }),
    changed: Type.Array(Type.Object({ before: Type.String(), after: Type.String() })),
    besides: Type.Array(Type.Union([Type.Literal('reference pictures'), Type.Literal('leave-out list')]), { description: 'What changes beside the words.' }),
    overrides: Type.Array(Override),
    text: Type.String({ description: 'The whole text as it would be.' }),
    stales: Type.Boolean({ description: 'The chosen proof would be stale afterwards and is not now.' }),
  },
  { title: 'SceneOffer' },
)
export type SceneOffer = Static<typeof SceneOffer>

const params = Type.Object({ series: Id }, closed)
const sceneParams = Type.Object({ scene: Id }, closed)
const revision = Type.Integer({ minimum: 0, description: 'Of the series; refused when there is a newer one.' })

export const listSeries = route({ id: 'listSeries', method: 'get', path: '/api/series', summary: 'Series of a project, or all there are, the last changed first.', query: Type.Object({ project: Type.Optional(Id) }, closed), answer: Type.Array(SeriesSummary) })
export const addSeries = route({ id: 'addSeries', method: 'post', path: '/api/series', summary: 'Begins a series, with or without a story. It has the id given.', body: Type.Object({ id: Id, projectId: Id, name: plainText(120, { minLength: 1 }), story: plainText(MAX_STORY) }, closed), answer: Series, status: 201 })
export const readSeries = route({ id: 'readSeries', method: 'get', path: '/api/series/:series', summary: 'A series with its scenes in order and its parts.', params, answer: Series })
export const changeSeries = route({
  id: 'changeSeries',
  method: 'patch',
  path: '/api/series/:series',
  summary: 'Changes a series: its name, its style, its story, the order of its scenes. A changed story takes the passages of its scenes along and marks those it touches.',
  params,
  body: Type.Object({ revision, name: Type.Optional(plainText(120, { minLength: 1 })), story: Type.Optional(plainText(MAX_STORY)), style: Type.Optional(orNull(Id)), order: Type.Optional(Type.Array(Id, { maxItems: MAX_SERIES_SCENES, description: 'All scenes, each once.' })) }, closed),
  answer: Series,
})
export const deleteSeries = route({ id: 'deleteSeries', method: 'delete', path: '/api/series/:series', summary: 'Puts a series in the bin, with its scenes and their prompts. Its characters, places and style stay with the project.', params })
export const splitStory = route({ id: 'splitStory', method: 'post', path: '/api/stories/split', summary: 'Splits a story into scenes, with who is in each, where and when. Nothing is kept.', body: Type.Object({ story: plainText(MAX_STORY), starts: Type.Optional(Type.Array(Type.Integer({ minimum: 0 }), { maxItems: MAX_SERIES_SCENES, description: 'Where scenes are to begin; without it, where they turn.' })) }, closed), answer: StorySplit })
export const addScenes = route({
  id: 'addScenes',
  method: 'post',
  path: '/api/series/:series/scenes',
  summary: 'Adds scenes after another, or at the end, each with a prompt composed from its parts. Each has the id given: sending it twice makes one.',
  params,
  body: Type.Object({ after: orNull(Id), scenes: Type.Array(Type.Object({ id: Id, body: SceneBody, story: orNull(Range) }, closed), { minItems: 1, maxItems: MAX_SERIES_SCENES }) }, closed),
  answer: Series,
  status: 201,
})
export const changeScene = route({
  id: 'changeScene',
  method: 'patch',
  path: '/api/scenes/:scene',
  summary: 'Changes a scene. What its parts and words say follows into its text, where that was not written otherwise since.',
  params: sceneParams,
  body: Type.Object({ body: Type.Optional(SceneBody), story: Type.Optional(orNull(Range)), chosen: Type.Optional(orNull(Id)), seen: Type.Optional(Type.Literal(true)), anew: Type.Optional(Type.Literal(true, { description: 'Composes the text anew, over what was written by hand; the draft’s history keeps that.' })) }, closed),
  answer: Series,
})
export const chooseProofs = route({ id: 'chooseProofs', method: 'post', path: '/api/series/:series/chosen', summary: 'Chooses proofs for many scenes at once, all of them or none.', params, body: Type.Object({ chosen: Type.Array(Type.Object({ sceneId: Id, proofId: Id }, closed), { minItems: 1, maxItems: MAX_SERIES_SCENES }) }, closed), answer: Series })
export const splitScene = route({ id: 'splitScene', method: 'post', path: '/api/scenes/:scene/split', summary: 'Splits a scene in two at a place of the story. The first keeps the prompt and its proofs.', params: sceneParams, body: Type.Object({ id: Id, at: Type.Integer({ minimum: 0, description: 'UTF-16 code units of the story.' }) }, closed), answer: Series })
export const joinScene = route({ id: 'joinScene', method: 'post', path: '/api/scenes/:scene/join', summary: 'Joins a scene with the next one. The first keeps its prompt; the second goes into the bin.', params: sceneParams, answer: Series })
export const duplicateScene = route({ id: 'duplicateScene', method: 'post', path: '/api/scenes/:scene/duplicate', summary: 'Puts a copy of a scene and its text after it.', params: sceneParams, body: Type.Object({ id: Id }, closed), answer: Series })
export const deleteScene = route({ id: 'deleteScene', method: 'delete', path: '/api/scenes/:scene', summary: 'Puts a scene in the bin, with its prompt.', params: sceneParams, answer: Series })
export const readSceneOffers = route({ id: 'readSceneOffers', method: 'get', path: '/api/series/:series/offers', summary: 'What newer versions of its parts would change in the scenes of a series.', params, answer: Type.Array(SceneOffer) })
export const previewPart = route({ id: 'previewPart', method: 'post', path: '/api/series/:series/preview', summary: 'What a part would change in the scenes of a series if it said this. Nothing is kept.', params, body: Type.Object({ part: Id, body: PartBody }, closed), answer: Type.Array(SceneOffer) })
export const takeSceneOffers = route({
  id: 'takeSceneOffers',
  method: 'post',
  path: '/api/series/:series/offers',
  summary: 'Takes or leaves what changed parts offer, scene by scene. A scene whose text has changed meanwhile is passed over and named.',
  params,
  body: Type.Object({ take: Type.Array(Type.Object({ sceneId: Id, partId: Id, revision: Type.Integer({ minimum: 0 }) }, closed), { maxItems: 2_000 }), leave: Type.Array(Type.Object({ sceneId: Id, partId: Id }, closed), { maxItems: 2_000 }) }, closed),
  answer: Type.Object({ taken: Type.Integer(), passedOver: Type.Array(plainText(300)), series: Series }),
})
const ratios = Type.Optional(Type.Array(Type.String({ pattern: '^\\d{1,2}:\\d{1,2}$' }), { minItems: 1, maxItems: 6, description: 'Each scene in each of these aspect ratios; absent: in its own.' }))
export const priceScenes = route({
  id: 'priceScenes',
  method: 'post',
  path: '/api/series/:series/price',
  summary: 'What a try of some scenes of a series would cost, all together, with their own engines and settings. Nothing is asked for.',
  params,
  body: Type.Object({ scenes: Type.Array(Id, { minItems: 1, maxItems: MAX_SERIES_SCENES }), ratios }, closed),
  answer: Type.Object({ costs: Type.Array(Amount), proofs: Type.Integer() }),
})
export const runScenes = route({
  id: 'runScenes',
  method: 'post',
  path: '/api/series/:series/run',
  summary: 'Tries some scenes of a series together: all of them, or, over the ceiling or with a text that has changed meanwhile, none. Each run has the id given: sending it twice asks once.',
  params,
  body: Type.Object({ scenes: Type.Array(Type.Object({ sceneId: Id, run: Id, revision: Type.Integer({ minimum: 0 }) }, closed), { minItems: 1, maxItems: MAX_SERIES_SCENES }), ratios }, closed),
  answer: Series,
})
export const stopScenes = route({ id: 'stopScenes', method: 'post', path: '/api/series/:series/stop', summary: 'Stops what no engine was asked for yet in all scenes of a series; it costs nothing. What an engine has already still comes.', params, answer: Series })
/** A slip with the scenes by their ids; a fix that edits a draft fits the revision it names. */
export const SeriesSlip = Type.Composite([Type.Omit(Slip, ['scene', 'against']), Type.Object({ sceneId: Id, againstId: Type.Optional(Id), revision: Type.Integer() })], { title: 'SeriesSlip' })
export type SeriesSlip = Static<typeof SeriesSlip>
export const readContinuity = route({ id: 'readContinuity', method: 'get', path: '/api/series/:series/continuity', summary: 'Where a series does not hold together, each with its reason and, where there is one, a fix. Chosen proofs that are not read yet are read first.', params, answer: Type.Object({ slips: Type.Array(SeriesSlip), unread: Type.Integer({ description: 'Chosen proofs still to be read.' }) }) })
