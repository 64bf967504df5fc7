import { readFileSync } from 'node:fs'
const p=JSON.parse(readFileSync(process.argv[2]!,'utf8'))
const by=new Map(p.nodes.map((n:any)=>[n.id,n])); const self=new Map<string,number>(); let tot=0
const parent=new Map<number,number>(); for(const n of p.nodes) for(const c of n.children??[]) parent.set(c,n.id)
const incl=new Map<string,number>()
p.samples.forEach((id:number,i:number)=>{const d=p.timeDeltas[i]/1000; const n:any=by.get(id); const k=(n:any)=>`${n.callFrame.functionName||'(anon)'} ${n.callFrame.url.split('/').pop()}:${n.callFrame.lineNumber}:${n.callFrame.columnNumber}`; if(n.callFrame.functionName==='(idle)')return; self.set(k(n),(self.get(k(n))??0)+d);tot+=d
 const seen=new Set<string>(); let q:any=n; while(q){const kk=k(q); if(!seen.has(kk)){seen.add(kk); incl.set(kk,(incl.get(kk)??0)+d)} const pid=parent.get(q.id); q=pid===undefined?undefined:by.get(pid)}})
console.log('total',tot.toFixed(0)); console.log([...self].sort((a,b)=>b[1]-a[1]).slice(0,25).map(([k,v])=>v.toFixed(0)+' '+k).join('\n')); console.log('--incl'); console.log([...incl].sort((a,b)=>b[1]-a[1]).slice(0,40).map(([k,v])=>v.toFixed(0)+' '+k).join('\n'))
