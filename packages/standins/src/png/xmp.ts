const escape = (text: string) =>
  // eslint-disable-next-line no-control-regex -- XML 1.0 allows no other control characters.
  text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, ' ').replace(/\p{Cs}/gu, '\ufffd').replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')

/** IPTC's digital source type for a picture made by an algorithm alone. */
const SOURCE_TYPE = 'http://cv.iptc.org/newscodes/digitalsourcetype/algorithmicMedia'

/** An XMP packet (ISO 16684-1) that says by what the picture was made. */
export function xmpPacket(made: { engine: string; revision: string; prompt: string; seed: number }): string {
  return `<rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><rdf:Description rdf:about="" xmlns:iptc="http://iptc.org/std/Iptc4xmpExt/2008-02-29/" xmlns:dc="http://purl.org/dc/elements/1.1/" iptc:DigitalSourceType="${SOURCE_TYPE}"><dc:creator><rdf:Seq><rdf:li>${escape(made.engine)} ${escape(made.revision)} (simulated), seed ${made.seed}</rdf:li></rdf:Seq></dc:creator><dc:description><rdf:Alt><rdf:li xml:lang="x-default">${escape(made.prompt)}</rdf:li></rdf:Alt></dc:description></rdf:Description></rdf:RDF>`
}
