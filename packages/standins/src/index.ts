export { createStandin } from './app.ts'
