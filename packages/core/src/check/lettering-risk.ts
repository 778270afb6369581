import { listed, TermFinder } from '../glossary/term-finder.ts'
import type { Phrase } from '../read/reading.ts'
import type { Check } from './checked.ts'
import { type Finding, inText } from './finding.ts'

/** Things that usually carry words; what they carry comes out as scribble. */
const CARRIERS = new TermFinder(
  listed(
    `shop sign, street sign, road sign, pub sign, inn sign, signpost, signboard, painted sign, wooden sign, neon sign, neon signs, neon signage, signage, billboard, billboards, newspaper, newspapers, front page, front pages, headline, headlines, label, labels, handwritten label, price tag, price tags,
title, titles, titles on their spines, caption, captions, slogan, motto, inscription, name carved, carved name, carved inscription, carved letters, blackboard, chalkboard, blackboard covered in, menu board, chalked menu, chalked price board, love letter, handwritten letter, handwritten note, handwritten page, handwriting,
diary page, open letter, written letter, banner with, placard, placards, protest signs, name tag, name badge, number plate, licence plate, license plate, graffiti, playbill, handbill, speech bubble, place names, street names, gravestone with a name, wanted poster, posters on the wall, book title, book titles, book cover, magazine cover,
chalkboard menu, menu, menus, menu card, wine list, price board, price boards, price list, recipe card, hand-written recipe, handwritten recipe, written recipe, epitaph, long epitaph, greeting, greetings, birthday message, written message, painted message, message piped, message in icing, with a message, pinned note, note pinned, scribbled note, scrawled note, love note, ransom note, sticky note, sticky notes, open diary, open journal, diary entry, shopping list, to-do list, manuscript, illuminated manuscript, written scroll,
proclamation, decree, charter, certificate, diploma, passport, contract, bill of sale, wanted notice, notice board, noticeboard, notice on the door, public notice, warning sign, warning notice, no-entry sign, stop sign, exit sign, for-sale sign, route number, bus number, destination board, flight board, arrivals board, timetable, street name, street nameplate, shop name, café name, nameplate, name plate, door plate, brass plaque, plaque, memorial plaque, memorial stone, banner reading, flag with words,
logo, brand name, brand names, quotation, proverb, verse, poem, handwritten poem, lyrics, hymn board, hymn numbers, equations, formulas, formulae, lines of code, computer code, subtitles, crossword, neon letters, neon word, sandwich board, flyer, flyers, leaflet, leaflets, brochure, brochures, magazine, magazines, comic book, comic books, name painted on the bow, name on the bow, name on the stern, name over the door, written on, words on, words painted, words carved, words written, printed with a slogan, spelled out, spelling out, hand-lettered, engraved name, engraved words, banknote, banknotes, postage stamp, vintage advertisement, advertisement, advertisements, advertising hoarding, tarot cards, circus bill, tombstone inscription, carved initials, initials, monogram on,
film poster, film posters, movie poster, posters on a wall, poster on the wall, wall of posters, labelled bottles, labelled jars, labelled medicine bottles, labelled bottle, labelled jar, labelled drawers, shop window lettering, name on the gravestone, with the name, name painted, name written, painted name, milestone, number on the door, house number, race number, jersey number, map labels, sheet music, album cover, medicine bottles labelled, cereal box, ticket stub, train ticket, calendar page, wall calendar, business card, shop front lettering, gold lettering, lettering, painted letters, tattooed words, word, telegram, receipt, typed page, road markings reading, departure board, scoreboard, eye chart, sheet of stamps`,
    true,
  ),
)

export const letteringRisk: Check = (checked) => {
  const well = checked.engine?.lettering ?? 0
  const found: Finding[] = []
  const covered = (start: number, end: number) => found.some(({ where }) => where?.in === 'text' && where.start < end && where.end > start)
  // Words and what carries them are often two phrases beside one another.
  const groups: Phrase[] = []
  for (const phrase of checked.of('lettering')) {
    const last = groups.at(-1)
    if (last && !/[.;\n]/.test(checked.draft.text.slice(last.end, phrase.start)) && phrase.start - last.end < 60) groups[groups.length - 1] = { ...last, end: phrase.end, text: checked.draft.text.slice(last.start, phrase.end) }
    else groups.push(phrase)
  }
  for (const phrase of groups) {
    const words = phrase.text.match(/[\p{L}\p{N}]+/gu)?.length ?? 0
    if (words <= well || covered(phrase.start, phrase.end)) continue
    found.push({
      kind: 'lettering-risk',
      severity: 'caution',
      where: inText(phrase),
      facet: 'lettering',
      reason: well ? `${checked.engine!.name} spells about ${well} words well; these are ${words}.` : `Engines misspell: “${/["“]([^"”]{2,})/.exec(phrase.text)?.[1] ?? phrase.text}” may come out as almost these letters. Keep it short, or set the words afterwards.`,
    })
  }
  for (const carrier of checked.terms(CARRIERS, ['subject', 'action', 'detail', 'setting', 'light'])) {
    if (covered(carrier.start, carrier.end) || well > 0) continue
    found.push({
      kind: 'lettering-risk',
      severity: 'caution',
      where: inText(carrier),
      facet: carrier.phrase.facet,
      reason: `“${checked.said(carrier)}” usually carries words, and the engine will make some up. Say what it reads, or turn it from view.`,
    })
  }
  return found
}
