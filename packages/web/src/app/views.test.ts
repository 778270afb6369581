import { describe, expect, it } from 'vitest'
import { addressOf, VIEWS } from './views.ts'

describe('the registry of views', () => {
  it('names each view once, at one path', () => {
    expect(new Set(VIEWS.map(({ id }) => id)).size).toBe(VIEWS.length)
    expect(new Set(VIEWS.map(({ path }) => path)).size).toBe(VIEWS.length)
  })

  it('has the navigation in the order of the work', () => {
    expect(VIEWS.filter(({ nav }) => nav === 'work').map(({ title }) => title)).toEqual(['Begin', 'Desk', 'Proofs', 'Shelf', 'Series', 'References'])
    expect(VIEWS.filter(({ nav }) => nav === 'apart').map(({ title }) => title)).toEqual(['Helpers', 'Glossary', 'Engines'])
  })

  it('lets Go to reach every view that needs nothing chosen, and all of the navigation', () => {
    for (const view of VIEWS.filter(({ path, nav }) => nav || !/:\w+(?!\?)(?:\/|$)/.test(path))) if (view.id !== 'side-by-side' && view.id !== 'judge') expect(view.goTo, view.id).toBeDefined()
    for (const view of VIEWS.filter(({ goTo }) => goTo)) expect(addressOf(view)).not.toContain(':')
  })
})
