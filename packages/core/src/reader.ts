/** Reading, with its model of English: apart from the rest of core, so that only what reads loads it. */
import { unpackTables } from './read/model/tables.ts'
import { Reader } from './read/reader.ts'
import { englishAnalyser, englishTagger } from './read/tagger.ts'

export { type FixedFacet, Reader } from './read/reader.ts'
export { englishAnalyser, englishTagger }

/** A reader from the two files in packages/core/tables. @throws when they are damaged or of another version. */
export const createReader = (words: Uint8Array, network: Uint8Array): Reader => new Reader(unpackTables(words, network), englishAnalyser())
export { rewriteDraft, type Rewritten, type Style } from './rewrite/rewrite.ts'
export { Suggester } from './glossary/suggest.ts'
export { type Trim, trimFor, type Trimmed } from './output/trim.ts'
export { type Comparison, compareReadings } from './compare/compare.ts'
export { Synonyms } from './compare/sameness.ts'
export { Kin } from './glossary/kin.ts'
export { articleFor } from './english/article.ts'
export { headOf, isPlural, singularOf, wantsArticle } from './english/noun.ts'
export { type Filled, fillTemplate } from './template/fill/fill.ts'
export { type Combination, combine } from './trial/apply.ts'
export { type InStyle, writeInStyle } from './writing-style/write.ts'
export { MAX_STORY, type StoryScene, type StoryScenes, type Told } from './series/story/scenes.ts'
export { composeScene, type PartNow, partsOf, type SceneParts } from './series/compose.ts'
export { sheetDraft, sheetLists } from './series/sheet.ts'
export { followed, type Following, followPart, overridesIn } from './series/follow.ts'
export { continuityOf } from './series/continuity/index.ts'
export { type PictureSeen, type SeenScene } from './series/continuity/seen.ts'
