import { join, resolve } from 'node:path'

/** The project's own folder. */
export const ROOT = process.env['IDOLON_ROOT'] ?? process.cwd()
export const BUILD = join(ROOT, '.build')
/** Beside their package, so that Node finds the package's own dependencies from there. */
export const SERVER = join(ROOT, 'packages/server/dist/server.mjs')
/** The thread in which the server reads pictures; the server looks for it beside itself. */
export const SIGHT = join(ROOT, 'packages/server/dist/sight.mjs')
/** The thread in which the server works out what texts mean. */
export const MEANING = join(ROOT, 'packages/server/dist/meaning.mjs')
export const STANDINS = join(ROOT, 'packages/standins/dist/standins.mjs')
export const PAGE = join(BUILD, 'page')
export const dataFolder = (given: string | undefined): string => resolve(given ?? join(ROOT, 'data'))
