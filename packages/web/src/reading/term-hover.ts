import type { Extension } from '@codemirror/state'
import { hoverTooltip } from '@codemirror/view'
import type { Associations, Glossary } from '@idolon/core'

/** What the glossary says of the word under the pointer; nothing for a word it does not know. */
export const termHover = (vocabulary: () => { glossary: Glossary | undefined; associations: Associations | undefined }): Extension =>
  hoverTooltip((view, pos) => {
    const { glossary, associations } = vocabulary()
    const line = view.state.doc.lineAt(pos)
    const at = pos - line.from
    const term = glossary?.saidIn(line.text).find(({ start, end }) => start <= at && at <= end)
    const word = associations?.termsIn(line.text).find(({ start, end }) => start <= at && at <= end)
    const place = term ?? word
    if (!place) return null
    const brings = associations?.companions(line.text.slice(place.start, place.end)).slice(0, 4).map(({ what }) => what) ?? []
    const [entry] = term?.value ?? []
    if (!entry && brings.length === 0) return null
    return {
      pos: line.from + place.start,
      end: line.from + place.end,
      above: true,
      create: () => {
        const dom = document.createElement('div')
        dom.className = 'cm-term'
        const say = (text: string, className = '') => Object.assign(dom.appendChild(document.createElement('p')), { textContent: text, className })
        if (entry) say(`${entry.term}: ${entry.does}`)
        if (brings.length) say(`Commonly brings ${brings.join(', ')}.`, 'soft')
        if (entry?.excludes.length) say(`Not with ${entry.excludes.join(', ')}.`, 'soft')
        say('F2 opens its entry', 'soft')
        return { dom }
      },
    }
  })
