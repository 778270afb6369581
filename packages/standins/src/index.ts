import { drawScene } from './draw/draw.ts'
import { understand } from './scene/understand.ts'

export { createStandin } from './app.ts'
export { createLanguageStandin } from './language/chat.ts'
export { EXPECTATIONS } from './measure/answers.ts'
export { judge } from './measure/judge.ts'
export type { PictureRequest } from './request.ts'

/** What a text is drawn as before its medium has been at it, as SVG. */
export const plainSvg = (prompt: string, seed: number, width: number, height: number): string => drawScene(understand(prompt), seed, width, height).svg
export { randomSubjects } from './measure/random-subjects.ts'
