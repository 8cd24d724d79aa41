import { chromium } from '@playwright/test';
const base='http://127.0.0.1:4191';
const b=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:['--no-sandbox']});
const creds=await (await fetch(base+'/api/demo/sign-in')).json();
const want=process.argv.slice(2);
const c=await b.newContext({viewport:{width:1280,height:800}});
const p=await c.newPage();
await p.goto(base+'/sign-in');
await p.getByLabel('Email address').fill(creds.email);await p.getByLabel('Password').fill(creds.password);
await p.getByRole('button',{name:'Sign in'}).click();
await p.getByRole('link',{name:'Hut Season, six weeks'}).click();
await p.waitForURL(/\/c\//);
const cid=p.url().match(/\/c\/([^/]+)/)[1];
const who='Oren Falkestad';
const m=await b.newContext({viewport:{width:390,height:844}});
const q=await m.newPage();
await q.goto(base+'/join/'+creds.links[who]);
await q.getByRole('button',{name:/Yes, I/}).click();
await q.waitForURL(/\/me/);
const shots={
 shelf: async()=>{await p.goto(`${base}/c/${cid}/plan/shelf`);await p.waitForTimeout(400);await p.screenshot({path:'/tmp/s-shelf.png'})},
 plan: async()=>{await p.goto(`${base}/c/${cid}/plan`);await p.waitForTimeout(800);await p.locator('[role=gridcell]').nth(25).click();await p.waitForTimeout(300);await p.screenshot({path:'/tmp/s-plan.png',fullPage:false})},
 me: async()=>{await q.goto(base+'/me');await q.waitForTimeout(500);await q.getByRole('button',{name:/Tick it off/}).first().click();await q.waitForTimeout(900);await q.screenshot({path:'/tmp/s-me1.png',fullPage:true,clip:{x:0,y:0,width:390,height:1000}});await q.screenshot({path:'/tmp/s-me2.png',fullPage:true,clip:{x:0,y:1700,width:390,height:900}})},
 meshelf: async()=>{await q.goto(base+'/me/shelf');await q.waitForTimeout(500);await q.screenshot({path:'/tmp/s-meshelf.png'});await q.getByRole('link',{name:/Desk breaks/}).click();await q.waitForTimeout(600);await q.screenshot({path:'/tmp/s-meshelf2.png',fullPage:true})},
 roll: async()=>{await p.goto(`${base}/c/${cid}/roll`);await p.waitForTimeout(800);await p.screenshot({path:'/tmp/s-roll.png'})},
 desk: async()=>{await p.goto(`${base}/c/${cid}/desk`);await p.waitForTimeout(800);await p.screenshot({path:'/tmp/s-desk.png'})},
 build: async()=>{await p.goto(`${base}/c/${cid}/build`);await p.getByRole('link',{name:'Desk breaks'}).first().click();await p.waitForTimeout(1200);await p.screenshot({path:'/tmp/s-build.png',fullPage:true})},
 ridge: async()=>{await p.goto(`${base}/c/${cid}/build`);await p.getByRole('link',{name:'Ridge load'}).first().click();await p.waitForTimeout(1200);await p.getByText('Suitcase carry').first().click();await p.waitForTimeout(300);await p.screenshot({path:'/tmp/s-ridge.png',fullPage:true})},
};
for(const w of want) await shots[w]();
await b.close();
