import { listed, TermFinder } from '../../glossary/term-finder.ts'

/** The years a word of the text sets a picture in; years before our era are negative. */
export interface Period {
  from: number
  to: number
}

/** Periods by name, and people who belong to one. `name from..to`, names joined by “=”. */
const NAMED = `
stone age=paleolithic=palaeolithic=cave painter=cave dweller=caveman=cavewoman=cavemen -40000..-4000; neolithic -9000..-3000; bronze age -3000..-1000; iron age -1000..100; prehistoric -40000..-2000
ancient egypt=ancient egyptian=pharaoh -3000..-100; ancient greece=ancient greek=hoplite -800..-100; ancient rome=roman empire=roman legionary=roman legion=roman soldier=roman centurion=centurion=gladiator=roman senator=roman forum -300..450; mesopotamia=babylonian=sumerian -3000..-500; ancient china -500..200
viking=viking longship=viking age=norse raider 780..1100; anglo-saxon 450..1066; byzantine 400..1450; medieval=mediaeval=middle ages=dark ages 500..1480; crusader 1095..1300; feudal japan 1185..1600; norman knight 1060..1200; gothic period 1150..1450; plantagenet 1154..1485
renaissance 1400..1600; tudor 1485..1603; elizabethan 1558..1603; jacobean 1603..1625; conquistador 1500..1600; musketeer 1600..1700; pilgrim fathers 1600..1650; golden age of piracy 1650..1730; georgian 1714..1830; regency=regency era 1795..1837; age of sail 1570..1850; edo period=edo 1603..1868; napoleonic 1799..1815; ming dynasty 1368..1644
victorian=victorian era=victorian london 1837..1901; edwardian 1901..1914; belle epoque=belle époque 1880..1914; gilded age 1870..1900; wild west=old west 1865..1895; gold rush 1848..1900; industrial revolution 1760..1840; civil war camp 1861..1865; meiji 1868..1912; antebellum 1812..1861
first world war=world war one=world war i=wwi=great war=western front 1914..1918; roaring twenties=jazz age=prohibition era 1920..1933; great depression=dust bowl 1929..1939; interwar 1919..1939; second world war=world war two=world war ii=wwii=the blitz=wartime london 1939..1945; postwar=post-war 1945..1955; swinging sixties 1960..1969; cold war 1947..1991
knight in armour=knight in armor=knight in plate armour=knight in plate armor=knight=knights=armoured knight=jousting knight 1000..1600; samurai 1150..1870; shogun 1190..1868; redcoat 1660..1880; highwayman 1650..1820; suffragette 1900..1918; flapper 1920..1930; troubadour 1100..1350; janissary 1380..1826; landsknecht 1480..1600; spartan warrior -700..-200
ice age=mesolithic -40000..-4000; old kingdom=middle kingdom=new kingdom=pharaonic=egyptian scribe -2700..-300; minoan -2700..-1400; trojan war -1300..-1150; persian empire -550..-330; phoenician -1500..-300; etruscan -800..-100; hellenistic -330..-30; han dynasty -206..220; roman emperor=roman matron -300..450
merovingian=carolingian 480..900; tang dynasty 618..907; song dynasty 960..1279; heian 794..1185; mongol horde=mongol empire 1206..1370; aztec=inca 1200..1535; mughal=mughal court 1526..1800; ottoman court=ottoman empire 1300..1920; joseon 1392..1897; qing dynasty 1644..1912; hanseatic 1200..1600; black death=plague doctor 1347..1700
baroque court=baroque lady=baroque era=baroque period=baroque nobleman 1600..1750; rococo court=rococo lady=rococo era 1720..1790; restoration era 1660..1690; french revolution 1789..1799; colonial era 1607..1783; tsarist 1700..1917; confederate soldier=union soldier 1861..1865; pioneer wagon train=wagon train 1830..1875; pony express 1860..1861; gaslit london 1815..1910; fin de siècle=fin-de-siècle 1880..1905
weimar 1919..1933; space race=atomic age 1945..1975; disco era 1974..1981; hippie commune=summer of love 1965..1972; speakeasy 1920..1933; town crier 1500..1850; cavalier 1630..1680; roman britain=roman gaul=roman villa=roman bath=legionary=roman legionary -50..450; steam age=age of steam 1830..1950; coaching inn=coaching yard=stagecoach 1650..1850; mammoth hunter=stone age hunter -40000..-8000
`

export const eraEntries = (list: string): (readonly [string, Period])[] =>
  list.split(/[;\n]/).flatMap((entry) => {
    const match = /^\s*([^#].*?)\s+(-?\d+)(?:\.\.(-?\d+))?\s*$/.exec(entry)
    return match ? listed(match[1]!.replaceAll('=', ','), { from: Number(match[2]), to: match[3] === undefined ? Infinity : Number(match[3]) }) : []
  })

const NAMES = new TermFinder(eraEntries(NAMED))
const CENTURY: Record<string, number> = {
  tenth: 10, eleventh: 11, twelfth: 12, thirteenth: 13, fourteenth: 14, fifteenth: 15, sixteenth: 16, seventeenth: 17, eighteenth: 18, nineteenth: 19, twentieth: 20,
}
const DECADE: Record<string, number> = { twenties: 1920, thirties: 1930, forties: 1940, fifties: 1950, sixties: 1960, seventies: 1970, eighties: 1980 }

/** Periods that a text names: centuries, decades, years, ages, and people of one age. Ranges are UTF-16 code units. */
export function periodsIn(text: string): (Period & { start: number; end: number })[] {
  const found = NAMES.find(text).map(({ start, end, value }) => ({ start, end, ...value }))
  const take = (match: RegExpMatchArray, from: number, to: number) => found.push({ start: match.index ?? 0, end: (match.index ?? 0) + match[0].length, from, to })
  for (const match of text.matchAll(/\b(early |mid-?|late )?(1[0-9]|20|[5-9])(?:st|nd|rd|th)[- ]century\b/gi)) take(match, Number(match[2]) * 100 - 100, Number(match[2]) * 100 - 1)
  for (const match of text.matchAll(new RegExp(`\\b(?:early |mid-?|late )?(${Object.keys(CENTURY).join('|')})[- ]century\\b`, 'gi'))) {
    const century = CENTURY[match[1]!.toLowerCase()]!
    take(match, century * 100 - 100, century * 100 - 1)
  }
  for (const match of text.matchAll(/(?<![\d./:,-])(1[0-9]\d|20[0-4])0s\b/g)) take(match, Number(`${match[1]}0`), Number(`${match[1]}0`) + 9)
  for (const match of text.matchAll(/(?<=\b(?:in|of|circa|around|c\.|year|summer|winter|spring|autumn|early|late|about|the)\s|^|,\s*)(1[0-9]{3}|20[0-4]\d)(?=\s*(?:[,.;)]|$|\s(?:and|at|on|in)\b))/g)) take(match, Number(match[1]), Number(match[1]))
  for (const match of text.matchAll(/\b(\d{1,4})\s?(?:BCE?\b|B\.C\.)/g)) take(match, -Number(match[1]), -Number(match[1]))
  for (const match of text.matchAll(new RegExp(`\\b(?:the|early|late) (${Object.keys(DECADE).join('|')})\\b`, 'gi'))) {
    const from = DECADE[match[1]!.toLowerCase()]!
    take(match, from, from + 9)
  }
  return found.sort((a, b) => a.start - b.start)
}
