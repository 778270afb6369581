export { createStandin } from './app.ts'
export { drawScene } from './draw/draw.ts'
export { renderPng } from './png/render.ts'
export { understand } from './scene/understand.ts'
