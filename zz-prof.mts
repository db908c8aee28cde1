import { chanceOf, recordStory } from './core/src/second-model/flights';
import { LESSONS } from './core/src/second-model/lessons';
import { findEvents } from './core/src/recorded-flight/events/find-events';
import { guessMapping } from './core/src/recorded-flight/mapping/guess';
import { recordingOf } from './core/src/recorded-flight/recording';
import { smoothFlight } from './core/src/recorded-flight/smoothing/smooth-flight';
import { tableOfCsv } from './core/src/recorded-flight/stand-ins/read-back';
import { MADE_UP_RECORDERS } from './core/src/recorded-flight/stand-ins/recorders';
import { writtenBy } from './core/src/recorded-flight/stand-ins/write';
const { log } = recordStory(LESSONS[3]!(3).story, { hz: 100, wanderM: 0, leavesOut: [] }, 1);
const [header, ...lines] = (writtenBy({ ...MADE_UP_RECORDERS[0]!, driftM: 0, wander: { m: 1, s: 25 }, hz: 100 } as any, log, chanceOf(1).normal) as string).trim().split('\n');
const out=[header!]; for (let i=0;i<360000;i++){ const line=lines[(i>>1)%lines.length]!; out.push(`${i*5}${line.slice(line.indexOf(','))}`); }
const text=out.join('\n'); console.log(text.length/1e6);
let a=0; { const t=performance.now(); let x=1; for(let i=0;i<2e8;i++) x=x*1.0000001+0.1; a=x; console.log('calib', (performance.now()-t).toFixed(0)); }
for (let k=0;k<Number(process.env['K']??2);k++){ const t0=performance.now(); const c0=process.cpuUsage(); const table=tableOfCsv(text); const t1=performance.now(); const m=guessMapping(table); const t2=performance.now(); const r=recordingOf(table,m); const t3=performance.now(); const f=smoothFlight(r); const t4=performance.now(); findEvents(f); const t5=performance.now(); const c=process.cpuUsage(c0);
console.log('read',(t1-t0).toFixed(0),'guess',(t2-t1).toFixed(0),'rec',(t3-t2).toFixed(0),'smooth',(t4-t3).toFixed(0),'events',(t5-t4).toFixed(0),'total',(t5-t0).toFixed(0),'cpu',((c.user+c.system)/1000).toFixed(0)); }
