import { chromium } from '@playwright/test';
const base='http://127.0.0.1:8431';
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox']});
const c=await b.newContext({viewport:{width:1280,height:800},baseURL:base});const p=await c.newPage();
await p.goto('/sign-in');await p.getByLabel('E-mail').fill('nora@harrowquay.example');await p.getByLabel('Password').fill('lantern-over-quay');await p.getByRole('button',{name:'Sign in'}).click();await p.getByRole('heading',{name:'Who needs me'}).waitFor();
const who=process.argv[2];
await p.getByRole('link',{name:new RegExp(who)}).first().click();await p.waitForURL(/patients/);
const rec=new URL(p.url()).pathname;
await p.goto(rec+'/access');await p.getByRole('button',{name:/^Make a (new )?link$/}).click();await p.locator('[data-link]').waitFor({state:'attached'});
const link=new URL(await p.locator('[data-link]').textContent());
const mc=await b.newContext({viewport:{width:390,height:844},baseURL:base,isMobile:true,hasTouch:true});const m=await mc.newPage();
await m.goto(link.pathname+link.hash);await m.getByRole('button',{name:'Use this device'}).click();await m.getByRole('button',{name:'I have read this and agree'}).click();await m.getByLabel('PIN',{exact:true}).fill('480153');await m.getByLabel('PIN once more').fill('480153');await m.getByRole('button',{name:'Keep this PIN'}).click();await m.getByRole('button',{name:'Lock'}).waitFor();
const shot=async(n,full=true)=>{await m.waitForTimeout(400);await m.screenshot({path:`/tmp/shots/${n}.png`,fullPage:full})};
await shot('today');
if(await m.getByRole('button',{name:'Not today'}).count()){await m.getByRole('button',{name:'Not today'}).click();await shot('nottoday');await m.getByRole('button',{name:'Back'}).click();}
await m.getByRole('link',{name:'My progress'}).click();await shot('progress');
await m.getByRole('link',{name:'My sheet'}).click();await shot('sheet');
await m.getByRole('link',{name:'Settings'}).click();await m.waitForTimeout(500);await shot('settings');
await m.getByRole('link',{name:'Today'}).click();
await m.getByRole('button',{name:'Tap a minute'}).click().catch(()=>{});await shot('check');await m.goBack();
await m.getByRole('button',{name:/^(Begin|Once more)/}).first().click();await m.getByRole('button',{name:'5',exact:true}).click();
if(await m.getByRole('button',{name:'Join from my own breath'}).count()){await m.getByRole('button',{name:'Join from my own breath'}).click();await shot('join');}
await m.getByRole('button',{name:'Start',exact:true}).click();await m.waitForTimeout(9000);await shot('player',false);
await m.goBack();await m.goBack().catch(()=>{});
await m.goto('/my');await m.getByRole('button',{name:'Lock'}).click();await shot('locked');
await m.setViewportSize({width:1280,height:800});await m.getByLabel('PIN',{exact:true}).fill('480153');await m.getByRole('button',{name:'Open'}).click();await m.getByRole('button',{name:'Lock'}).waitFor();await shot('today-wide',false);
await m.getByRole('link',{name:'My progress'}).click();await shot('progress-wide',false);
await p.goto(rec);await p.waitForTimeout(500);await p.screenshot({path:'/tmp/shots/course.png',fullPage:true});
await b.close();
