import { chromium } from '@playwright/test';
const BASE='http://localhost:4191';
const { email, password, links } = await (await fetch(BASE+'/api/demo/sign-in')).json();
const browser = await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:['--no-sandbox']});
const which = process.argv[2];
if (which==='me') {
  const c = await browser.newContext({viewport:{width:390,height:844}}); const p = await c.newPage();
  console.log(Object.keys(links));
  const l = typeof links[0]==='object'?links[0].url??links[0].link:Object.values(links)[0];
  await p.goto(BASE+'/join/'+l); await p.waitForLoadState('networkidle');
  const b=p.getByRole('button',{name:/yes|continue|open/i}).first(); if(await b.count()) {await b.click(); await p.waitForLoadState('networkidle');}
  await p.screenshot({path:'/tmp/me1.png'});
  console.log(await p.title(), p.url());
  const d=p.locator('summary').nth(3); if(await d.count()){ await d.click(); await p.waitForTimeout(600); await d.scrollIntoViewIfNeeded(); await p.evaluate(()=>window.scrollBy(0,150)); await p.screenshot({path:'/tmp/me2.png'}); }
} else {
  const c = await browser.newContext({viewport:{width:1280,height:800}}); const p = await c.newPage();
  await p.goto(BASE+'/sign-in'); await p.getByLabel('Email address').fill(email); await p.getByLabel('Password').fill(password); await p.getByRole('button',{name:'Sign in'}).click(); await p.waitForURL(/challenges/);
  await p.getByRole('link',{name:'Hut Season, six weeks'}).first().click(); await p.waitForLoadState('networkidle');
  const base=p.url().match(/.*\/c\/[^/]+/)[0];
  for (const [name,path,fn] of JSON.parse(process.argv[3])) { await p.goto(base+path); await p.waitForLoadState('networkidle'); if(fn) await eval(`(async()=>{${fn}})()`); await p.screenshot({path:`/tmp/${name}.png`}); }
}
await browser.close();
