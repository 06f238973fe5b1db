import { chromium } from 'playwright';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
const B='http://127.0.0.1:3300';
await p.goto(B+'/sign-in'); await p.getByLabel('Sign-in name').fill('technician'); await p.getByLabel('Password').fill('signal-box-one'); await p.keyboard.press('Enter'); await p.waitForURL(B+'/');
await p.goto(B+'/orders'); await p.waitForLoadState('networkidle'); await p.screenshot({path:'/tmp/s1.png'});
await p.getByRole('link',{name:'Canteen cups'}).click(); await p.waitForURL(/orders\/./); await p.waitForLoadState('networkidle'); await p.screenshot({path:'/tmp/s2.png'});
await p.goto(B+'/glazes'); await p.waitForLoadState('networkidle'); 
console.log(await p.getByRole('link').filter({hasText:'Guard Green'}).evaluateAll(l=>l.map(x=>x.outerHTML.slice(0,300))));
await p.goto(B+'/pieces/sheet'); await p.waitForLoadState('networkidle');
console.log(await p.getByRole('columnheader').allTextContents());
const cells = p.getByRole('row', { name: 'Row 1', exact: true }).getByRole('gridcell');
await cells.nth(1).click();
for (const w of ['cup','','buf','all over','limew']) { await p.keyboard.type(w); await p.keyboard.press('Tab'); }
await p.waitForTimeout(500);
console.log(await p.getByRole('columnheader').allTextContents());
await p.screenshot({path:'/tmp/s3.png'});
await b.close();
