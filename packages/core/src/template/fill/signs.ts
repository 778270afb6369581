/** Signs of the private use area that stand in a text while it is filled: around a value, and for a slot left empty. */
export const OPEN = '\uE001'
export const CLOSE = '\uE002'
export const EMPTY = '\uE000'

/** A text without the signs, should it have any. */
export const withoutSigns = (text: string): string => text.replace(/[\uE000-\uE002]/gu, '')

/** Words that lead to what follows and say nothing without it. */
export const LEADS = 'an?|the|and|or|in|on|at|of|with|by|from|to|into|onto|over|under|near|beside|behind|beneath|above|below|against|through|across|along|around|among|between|inside|for|as|like|wearing|holding|carrying|made|full|set|during|while|towards?'
/** Words after which something new begins. */
export const STARTS = 'and|or|in|on|at|with|by|from|into|onto|over|under|near|beside|behind|beneath|above|below|against|through|across|along|around|among|between|inside|for|as|while|that|which|who|is|are|during|towards?'
