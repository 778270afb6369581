import type { Facet } from '../../facet.ts'
import { action } from './action.ts'
import { colour } from './colour.ts'
import { detail } from './detail.ts'
import { framing } from './framing.ts'
import { lettering } from './lettering.ts'
import { light } from './light.ts'
import { medium } from './medium.ts'
import { moment } from './moment.ts'
import { mood } from './mood.ts'
import { setting } from './setting.ts'
import { subject } from './subject.ts'
import { technique } from './technique.ts'

const split = (list: string): readonly string[] => [...new Set(list.split(/[,\n]/).map((term) => term.trim()).filter(Boolean))]

/** Terms by facet: lower case, words separated by one space. A term may stand in several facets. */
export const TERMS_BY_FACET: Readonly<Record<Facet, readonly string[]>> = {
  subject: split(subject),
  action: split(action),
  detail: split(detail),
  setting: split(setting),
  moment: split(moment),
  framing: split(framing),
  light: split(light),
  colour: split(colour),
  medium: split(medium),
  technique: split(technique),
  mood: split(mood),
  lettering: split(lettering),
}
