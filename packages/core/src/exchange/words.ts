import type { EngineChoice } from '../draft/shape.ts'

/** “burin 2”. */
export const engineWords = ({ engine, revision }: EngineChoice): string => (revision === undefined ? engine : `${engine} ${revision}`)
