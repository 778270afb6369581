import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { isEnglish } from '../src/helper/language.ts'
import { createReader } from '../src/reader.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const { words } = createReader(table('words.bin'), table('reader.bin'))

it.each([
  'a heron standing on one leg in the reeds at dawn, soft mist, gouache',
  'Hedda Brenn and Corin beside the Brass Heron, chiaroscuro, sfumato, en plein air',
  'café terrace, bokeh, 85mm lens at f/2, contre-jour',
  'linocut, gouache, ukiyo-e woodblock, sumi ink',
  'fox',
])('%s is English', (text) => {
  expect(isEnglish(text, words)).toBe(true)
})

it.each([
  'Ein alter Reiher steht bei Sonnenaufgang im Schilf, und das Licht ist weich',
  'Une vieille femme est assise dans un jardin avec une lanterne et des fleurs',
  'Un vecchio pescatore dorme nella barca, la luce è morbida e calda',
  'Una mujer mayor con un abrigo ocre en la puerta de su casa al amanecer',
  'Een oude man zit op een bankje in het park met zijn hond',
  'Vanha nainen istuu puutarhassa lyhdyn kanssa ja katselee kukkia hiljaa',
  'Egy idős halász alszik a csónakban, a fény lágy és meleg',
  'Seorang nelayan tua tidur di perahu dengan lentera yang menyala redup',
  '一只苍鹭站在芦苇中，清晨柔和的光线',
])('%s is not', (text) => {
  expect(isEnglish(text, words)).toBe(false)
})
