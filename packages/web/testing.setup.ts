import { config, disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterEach, vi } from 'vitest'
import * as library from 'vuetify'
import { options } from './src/app/vuetify.ts'

// Files share their worker, and with it the library; modules of ours are each file's own, as what they mock is.
vi.resetModules()
// Neither is what an earlier file kept in the browser.
localStorage.clear()

// What the library measures with, and the test's browser has not.
class NoObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
  takeRecords(): [] {
    return []
  }
}
for (const name of ['ResizeObserver', 'IntersectionObserver'] as const) if (!(name in globalThis)) Object.defineProperty(globalThis, name, { value: NoObserver, configurable: true })
Object.defineProperty(globalThis, 'visualViewport', { value: Object.assign(new EventTarget(), { width: 1280, height: 800, offsetLeft: 0, offsetTop: 0, scale: 1 }), configurable: true })

// The one file has all components; its types are those of the part that builds use.
const { components, directives } = library as unknown as Required<Pick<library.VuetifyOptions, 'components' | 'directives'>>
config.global.plugins = [library.createVuetify({ ...options, components, directives })]

// What is left mounted goes on after its test: drawn late, it would make the stores of its own application those that a later
// file asks.
disableAutoUnmount()
enableAutoUnmount(afterEach)

// What a component throws fails the test it was thrown in, at its end. Thrown on at once it would leave the framework in the
// middle of a rendering, and every later test of the worker with it.
const thrown: unknown[] = []
config.global.config.errorHandler = (error) => void thrown.push(error)
afterEach(() => {
  const [first] = thrown.splice(0)
  if (first !== undefined) throw first as Error
})
