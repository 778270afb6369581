import { MOVES } from '@idolon/core'
import type { Database } from '../../database/connect.ts'
import { dataUrl, jpegOf } from '../../documents/pdf.ts'
import type { OutSeries } from './delivered.ts'
import type { Step } from './documents.ts'

const PIXELS = 1_280
const html = (said: string) => said.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')

/** The series as one HTML file that needs nothing else: pictures, movement, captions, keys. It asks for nothing from anywhere. */
export async function animaticHtml(db: Database, { name, scenes }: OutSeries, step: Step): Promise<string> {
  const out: { picture: string; seconds: number; caption: string; beat: string; from: unknown; to: unknown }[] = []
  let ratio = 1.5
  for (const [i, { body, proof }] of scenes.entries()) {
    const jpeg = proof?.picture && (await jpegOf(db, proof.picture.sha256, PIXELS))
    if (jpeg && proof.picture && !out.some(({ picture }) => picture)) ratio = proof.picture.width / proof.picture.height
    const [from, to] = MOVES[body.motion.camera]
    out.push({ picture: jpeg ? dataUrl(jpeg) : '', seconds: body.motion.seconds, caption: body.caption, beat: body.beat, from, to })
    await step(i + 1, scenes.length)
  }
  // In a script only what would end it, or begin a comment of HTML, has to be written otherwise.
  const data = JSON.stringify(out).replaceAll('<', '\\u003c').replaceAll('\u2028', '\\u2028').replaceAll('\u2029', '\\u2029')
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; style-src 'unsafe-inline'; script-src 'unsafe-inline'"><title>${html(name)}</title>
<style>
body{margin:0;min-height:100vh;display:grid;place-content:center;gap:12px;background:#15171a;color:#e8eaec;font:16px/1.45 Georgia,serif;text-align:center}
.frame{width:min(94vw,calc((100vh - 150px)*${ratio.toFixed(4)}));aspect-ratio:${ratio.toFixed(4)};overflow:hidden;background:#0d0e10;display:grid}
.none{margin:0;place-self:center;grid-area:1/1}
.frame img{width:100%;height:100%;object-fit:cover;grid-area:1/1}
.caption{min-height:1.6em;font-size:20px;margin:0}
.row{display:flex;gap:14px;justify-content:center;align-items:center;font:14px system-ui,sans-serif}
button{font:inherit;padding:6px 14px;border:1px solid #818a92;border-radius:2px;background:none;color:inherit;cursor:pointer}
button:focus-visible{outline:2px solid #f0799b;outline-offset:2px}
input{accent-color:#f0799b;width:min(40vw,360px)}
</style></head><body>
<h1 style="position:absolute;clip-path:inset(50%);width:1px;height:1px;overflow:hidden">${html(name)}</h1>
<div class="frame"><img alt="" hidden><p class="none" hidden></p></div>
<p class="caption" aria-live="polite"></p>
<div class="row"><button class="play">Play</button><input type="range" min="0" step="0.1" value="0" aria-label="Where it is played"><span class="time"></span></div>
<script>
'use strict'
const scenes=${data}
const find=(one)=>document.querySelector(one),image=find('img'),none=find('.none'),caption=find('.caption'),play=find('.play'),range=find('input'),time=find('.time')
const starts=[0];for(const one of scenes)starts.push(starts[starts.length-1]+one.seconds)
const whole=starts[starts.length-1],still=matchMedia('(prefers-reduced-motion: reduce)')
range.max=whole
let at=0,playing=false,last=0,shown=-1
const clock=(s)=>Math.floor(s/60)+':'+String(Math.floor(s%60)).padStart(2,'0')
function draw(){
  let n=0;while(n<scenes.length-1&&at>=starts[n+1])n++
  const one=scenes[n];if(!one){caption.textContent='There is no scene.';return}
  if(n!==shown){shown=n;image.hidden=!one.picture;none.hidden=!!one.picture;if(one.picture)image.src=one.picture;image.alt=one.beat;none.textContent=one.beat;caption.textContent=one.caption}
  const t=still.matches?0:Math.min(1,(at-starts[n])/one.seconds),mix=(k)=>one.from[k]+(one.to[k]-one.from[k])*t
  image.style.transform='translate('+mix('x')*100+'%,'+mix('y')*100+'%) scale('+mix('scale')+') rotate('+mix('turn')+'deg)'
  range.value=at;time.textContent=clock(at)+' of '+clock(whole);play.textContent=playing?'Pause':'Play'
}
function tick(now){if(!playing)return;at=Math.min(whole,at+(last?Math.min(.25,(now-last)/1000):0));last=now;if(at>=whole)playing=false;draw();requestAnimationFrame(tick)}
function toggle(){if(!playing&&at>=whole)at=0;playing=!playing;last=0;draw();requestAnimationFrame(tick)}
function to(n){at=starts[Math.min(Math.max(0,n),scenes.length-1)]||0;draw()}
play.onclick=toggle;range.oninput=()=>{at=Number(range.value);draw()}
addEventListener('keydown',(e)=>{if(e.target===range)return;if(e.key===' '&&e.target!==play){e.preventDefault();toggle()}else if(e.key==='ArrowRight')to(shown+1);else if(e.key==='ArrowLeft')to(shown-1)})
draw()
</script></body></html>
`
}
