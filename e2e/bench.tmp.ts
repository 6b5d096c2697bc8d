import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../scripts/chromium.mjs';
const base='http://127.0.0.1:4355';
const SIZES=[[1280,800],[1024,768],[768,1024]] as const;
const only=process.argv[2]?.split(',');
const shots=process.argv[3]?.split(',')??[];
const b = await chromium.launch({ executablePath: CHROMIUM.path, chromiumSandbox: false, args:['--disable-gpu'] });
const c = await b.newContext({viewport:{width:1280,height:800},reducedMotion:'reduce',timezoneId:'Europe/London'});
const p = await c.newPage(); p.setDefaultTimeout(15000);
p.on('pageerror',e=>console.log('PAGEERROR',e.message));
await fetch(base+'/api/probe',{method:'POST',headers:{'content-type':'application/json'},body:JSON.stringify({minutesPerSecond:0,minute:600})});
const measure = (p:Page) => p.evaluate(`(() => {
  const out=[];
  const inside=(e)=>{const r=e.getBoundingClientRect(); if(r.width===0) return; 
    const cx=r.left+r.width/2, cy=r.top+r.height/2;
    const vis = r.top>=0&&r.left>=0&&r.bottom<=innerHeight+0.5&&r.right<=innerWidth+0.5;
    const work=e.closest('[data-work]')?.getBoundingClientRect();
    const inWork=!work||(r.top>=work.top-1&&r.bottom<=work.bottom+1&&r.right<=work.right+1);
    const tile=e.closest('[data-setting]')?.getBoundingClientRect();
    const inTile=!tile||(r.top>=tile.top-1&&r.bottom<=tile.bottom+1&&r.right<=tile.right+1);
    const top=document.elementFromPoint(cx,cy);
    const cov=top&&(e.contains(top)||top.contains(e));
    if(!vis||!inWork||!inTile||!cov) out.push((e.tagName+' "'+(e.textContent||e.ariaLabel||'').slice(0,24)+'" '+(vis?'':'OUT ')+(inWork?'':'NOTINWORK ')+(inTile?'':'NOTINTILE ')+(cov?'':'COVERED ')+[r.left,r.top,r.right,r.bottom].map(Math.round)));
  };
  document.querySelectorAll('[data-work] [data-figure], [data-action] button, [data-bar] button, [data-work] input, [data-work] [role=radiogroup]').forEach(inside);
  const w=document.querySelector('[data-work]'); if(w && w.scrollHeight>w.clientHeight+2) out.push('work scrolls '+w.scrollHeight+' > '+w.clientHeight);
  return out;
})()`) as Promise<string[]>;
let n=0;
async function look(step:string){
  if(only && only[0] && !only.includes(step)) return;
  for (const booth of [false,true]) {
    const want=booth?'Booth':'Office';
    const sw=p.getByRole('button',{name:want,exact:true}); if(await sw.isVisible()) await sw.click();
    for (const [w,h] of SIZES) {
      await p.setViewportSize({width:w,height:h}); await p.waitForTimeout(350);
      const f=await measure(p);
      const key=`${step}-${booth?'booth':'office'}-${w}`;
      if(f.length) console.log(key,f.slice(0,6));
      if(shots.includes(key)||shots.includes(step)) { await p.screenshot({path:`/tmp/w/look/${key}.png`}); n++; }
    }
  }
  const off=p.getByRole('button',{name:'Office',exact:true}); if(await off.isVisible()) await off.click();
  await p.setViewportSize({width:1280,height:800});
}
const choose=(g:string,a:string)=>p.getByRole('radiogroup',{name:g}).getByText(a,{exact:true}).click();
// own ticket
const tickets=(await (await fetch(base+'/api/tickets')).json()).tickets;
const t=(await (await fetch(base+'/api/tickets/'+tickets.find((x:any)=>/Linnet/.test(x.vehicle)).id)).json());
import { v7 as newId } from 'uuid';
const { number:_n, createdAt:_c, version:_v, state:_s, ...body }=t.ticket;
const ids=new Map(body.panels.map((q:any)=>[q.id,newId()]));
const id=newId();
const made={...body,id,vehicle:'Linnet hatchback, left side',panels:body.panels.map((q:any)=>({...q,id:ids.get(q.id)})),stages:body.stages.map((s:any)=>({...s,id:newId(),panelIds:s.panelIds.map((x:string)=>ids.get(x))}))};
const r=await fetch(base+'/api/tickets',{method:'POST',headers:{'content-type':'application/json'},body:JSON.stringify(made)}); if(!r.ok) console.log(await r.text());
await p.goto(`${base}/tickets/${id}`); await p.getByRole('heading',{level:1}).waitFor(); await p.getByText('Office').count();
await p.getByRole('radiogroup',{name:'Breathing',exact:true}).waitFor();
await look('gate0');
await choose('Breathing','Air-fed'); await choose('Breathing air','Yes');
if (await p.getByRole('radiogroup',{name:'Skin covered'}).isVisible()) { await choose('Skin covered','Yes'); await choose('Eyes covered','Yes'); }
await choose('Extraction','Running'); await choose('Bystanders','No'); await choose('Floor','Clear');
await p.getByLabel('I looked: none').check();
await look('gate');
await p.getByRole('button',{name:'Passed: on to the air'}).click();
await p.getByRole('button',{name:/Air is right/}).waitFor(); await look('air');
await p.getByRole('button',{name:/Air is right/}).click();
await p.getByRole('button',{name:/Take this plan/}).waitFor(); await look('mix');
await p.getByRole('button',{name:/Take this plan/}).click();
await p.getByRole('button',{name:'As listed'}).waitFor(); await look('pour0'); await p.getByRole('button',{name:'As listed'}).click(); await look('pour');
await p.getByRole('button',{name:'Mixed: the pot life runs'}).click();
await p.getByRole('button',{name:/Pattern even/}).waitFor(); await p.waitForTimeout(2500); await look('gun');
await p.getByRole('button',{name:/Mix$/}).click(); await look('mixed'); await p.getByRole('button',{name:/Gun$/}).click();
await p.getByRole('button',{name:/Pattern even/}).click();
await p.getByLabel(/Room, people and protection/).waitFor(); await look('ready');
await p.getByLabel(/Room, people and protection/).check();
await p.getByRole('button',{name:'Start spraying'}).click();
await p.getByText('Spraying for').waitFor(); await p.waitForTimeout(1500); await look('spraying');
await p.getByRole('button',{name:'The coat is on'}).click();
await p.getByRole('timer').waitFor(); await look('flash');
if(process.argv[4]==='flash'){ await b.close(); process.exit(0);} 
const whole=await (await fetch(base+'/api/tickets/'+id)).json();
// let time pass through the app's clock: psql
import { spawnSync } from 'node:child_process';
spawnSync('bash',['-c',`cd /tmp; S=$(ls -d /tmp/orthochrom-*/ | while read d; do [ -S $d/.s.PGSQL.5432 ] && echo $d; done); for s in $S; do su postgres -s /bin/sh -c "psql -h $s -U orthochrom -d orthochrom -c \\"update timer set started_at=started_at-interval '60 minutes', due_at=due_at-interval '60 minutes' where confirmed_at is null and kind='flash'\\""; done`],{stdio:'inherit'});
await p.reload(); await p.getByRole('timer').waitFor(); await look('flashup');
await choose('The face says','Dry'); await choose('The edges say','Dry');
await p.getByRole('button',{name:'Dry, edges too: confirmed'}).click();
await p.getByText('Nothing wrong').first().waitFor(); await look('look');
await p.getByRole('button',{name:/as planned: log it/}).click();
await p.waitForTimeout(800); await look('clean');
await b.close(); console.log('shots',n);
