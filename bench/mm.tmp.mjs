import { newFolder, withServer } from './server.mjs'
import { readFileSync } from 'node:fs'
const V=['','bench','planner','reckoner','instruments','keys','office','plans','cases/new']
for (let t=0;t<3;t++) { const s=performance.now(); const folder=newFolder()
await withServer(['--data', folder], async (address,{pid})=>{
  const up=performance.now()-s; const took=[]
  for (const v of V){const a=performance.now(); const r=await fetch(address+v,{headers:{'user-agent':'x'}}); await r.text(); took.push(Math.round(performance.now()-a))}
  const rss=/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`,'utf8'))[1]
  console.log(Math.round(up),took.join(' '),'sum',took.reduce((a,b)=>a+b),Math.round(rss/1024))
})}
process.exit(0)
