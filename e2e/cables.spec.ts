import { expect, test } from './test';
import { demoSite, fill, open, saved } from './helpers';

test('the cables that could lie for a run: ordered by cost, one taken, one that a rule stands in the way of', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac/cables`);
  const panel = page.getByRole('region', { name: 'Cables that could lie for INV-01' });
  await fill(panel, { 'Price of copper': '9', 'Price of aluminium': '2.7' });
  const rows = panel.getByRole('table').first().getByRole('row');
  await expect(rows.nth(1)).toContainText('cheapest');
  // Without aluminium's price there is no cheapest among both, and a price of nothing is refused where it is typed.
  await fill(panel, { 'Price of aluminium': '0' });
  await expect(panel.getByText(/0\.01/).first()).toBeVisible();
  await fill(panel, { 'Price of aluminium': '2.7' });
  await expect(panel.getByText(/One section up from/)).toBeVisible();
  await expect(panel.getByRole('heading', { name: 'One rule in the way' })).toBeVisible();

  const copper = rows.filter({ hasText: '95 mm² Cu' }).first();
  await copper.getByRole('button', { name: 'Take it' }).click();
  await saved(page);
  await open(page, `/sites/${site}/ac`);
  await expect(page.getByRole('row', { name: /^INV-01/ })).toContainText(/95.*Cu/);
});

test('a site of the other school is sized from nothing by American sizes, and keeps what was typed when the school changes', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/survey`);
  await fill(page, {
    'School of rules': 'NEC',
    'Grid code': 'IEEE 1547 enter service',
    Frequency: '60',
  });
  await page.getByRole('button', { name: 'Save the survey' }).click();
  await saved(page);

  await open(page, `/sites/${site}/ac`);
  const form = page.getByRole('region', { name: 'Run of INV-01' });
  await fill(form, {
    Raceway: 'EMT, steel',
    'Trade size': '3',
    'Temperature rating': '90',
    'Lugs at both ends marked 75 °C': 'yes',
    'Other circuits': '0',
    'Line conductor section': '3/0 AWG (85.03 mm²)',
    'PE section': '6 AWG (13.3 mm²)',
    'Breaker at the board': '200',
  });
  await form.getByRole('button', { name: 'Save the run' }).click();
  await saved(page);
  await expect(page.getByRole('row', { name: /^INV-01/ })).toContainText(/3\/0 AWG.*Cu/);
  const margins = page.getByRole('region', { name: 'Margins: INV-01' });
  await expect(margins).toContainText('Terminals carry 125 % of the current');
  await expect(margins).toContainText('Breaker protects the conductor');

  // Back to the first school: the section is no metric one, and said to be without a table value; nothing typed is gone.
  await open(page, `/sites/${site}/survey`);
  await fill(page, { 'School of rules': 'IEC' });
  await page.getByRole('button', { name: 'Save the survey' }).click();
  await saved(page);
  await open(page, `/sites/${site}/ac`);
  await expect(page.getByRole('region', { name: 'Margins: INV-01' })).not.toContainText('Terminals carry 125 %');
  await expect(page.getByRole('row', { name: /^INV-01/ })).toContainText(/85\.03.*Cu/);
  await expect(page.getByRole('region', { name: 'Run of INV-01' }).getByLabel(/^Breaker at the board/)).toHaveValue(
    '200',
  );
});

test('the termination sheets stand on a page and come as a PDF', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac/terminations`);
  const sheet = page.getByRole('region', { name: 'Termination of INV-01' });
  await expect(sheet).toContainText('Land PE green-yellow first');
  await expect(sheet).toContainText(/Strip\s*\d+/);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(sheet).toBeVisible();
  const pdf = await request.get(`/sites/${site}/ac/terminations.pdf`);
  expect(pdf.status()).toBe(200);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await request.get('/sites/01969a00-0000-7000-8000-00000000dead/ac/terminations.pdf')).status()).toBe(404);
});

test('what the runs take, and its pieces on drums with no joint', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac/order`);
  await expect(page.getByRole('region', { name: 'What the AC runs take' })).toContainText(/Copper \d+ kg/);
  const drums = page.getByRole('region', { name: /^Drums of/ }).first();
  await drums.getByLabel(/^Length of a new drum/).fill('300');
  await drums.getByLabel(/^Remainders are kept/).fill('0.2');
  await expect(drums.getByText(/0.5 to 1000 m/)).toBeVisible();
  await expect(drums.getByRole('button', { name: /^Cut/ })).toBeDisabled();
  await drums.getByLabel(/^Remainders are kept/).fill('');
  // The first kind of cable has a remainder in the store; what is cut so leaves it, and what is left comes in.
  await expect(drums).toContainText('In store: 28.4 m');
  await drums.getByRole('button', { name: /^Cut/ }).click();
  await expect(drums).toContainText(/new drums?, proved the fewest/);
  await expect(drums.getByRole('row', { name: /^from the store 28\.4 m INV-/ })).toBeVisible();
  const book = drums.getByRole('button', { name: 'It is cut so: change the store' });
  await expect(book).toBeDisabled();
  await drums.getByLabel(/^Remainders are kept/).fill('3');
  await book.click();
  await expect(drums.getByRole('status')).toContainText('The store was changed: 1 remainder out');
  await expect(drums).not.toContainText('In store: 28.4 m');
  await drums.getByRole('button', { name: 'Undo' }).click();
  await expect(drums).toContainText('In store: 28.4 m');
});

test('cable in store is put in, changed, taken out and put back, by hand', async ({ page, request }) => {
  await open(page, '/shelf');
  const store = page.getByRole('region', { name: 'Cable in store' });
  await store.getByRole('button', { name: 'put one in' }).click();
  await fill(store, { 'Metal of the lines': 'Al', Insulation: 'XLPE', Cores: '4-core' });
  await store.getByLabel(/^Line conductor section/).fill('185');
  await store.getByLabel(/^Length left/).fill('0.1');
  await store.getByLabel(/^Left on/).fill('2026-05-04');
  await store.getByRole('button', { name: 'Put it in the store' }).click();
  await expect(store.getByText(/Length left: 0.5 to 10000 m/)).toBeVisible();
  await store.getByLabel(/^Length left/).fill('61.5');
  await store.getByRole('button', { name: 'Put it in the store' }).click();
  const row = store.getByRole('row', { name: /^185 mm² Al/ });
  await expect(row).toContainText('61.5 m');
  await row.getByRole('button', { name: /^Change/ }).click();
  await store.getByLabel(/^Length left/).fill('60');
  await store.getByRole('button', { name: 'Save the remainder' }).click();
  await expect(row).toContainText('60.0 m');
  await row.getByRole('button', { name: /^Take 60.0 m/ }).click();
  await expect(row).toBeHidden();
  await store.getByRole('button', { name: 'Put it back' }).click();
  await expect(row).toContainText('60.0 m');
  // A length is cut once: who plans over what is gone is told, and nothing changes.
  const { remainders } = (await (await request.get('/api/v1/shelf')).json()) as { remainders: { id: string }[] };
  const [first] = remainders;
  const gone = await request.post('/api/v1/cable-store', { data: { take: [first?.id, 'gone'], put: [] } });
  expect(gone.status()).toBe(409);
  const after = (await (await request.get('/api/v1/shelf')).json()) as { remainders: unknown[] };
  expect(after.remainders).toHaveLength(remainders.length);
});

test('the company’s prices come as a file, a wrong row told, and cables are compared by them', async ({
  page,
  request,
}) => {
  await open(page, '/shelf');
  const prices = page.getByRole('region', { name: 'Prices' });
  await prices.getByLabel('Read a price list, CSV or XLSX').setInputFiles({
    name: 'spring.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      [
        'item,metal,insulation,cores,section_mm2,rating_a,price,dated',
        'metal,Cu,,,,,9,2026-03-02',
        'metal,Al,,,,,2.7,2026-03-02',
        'cable,Cu,XLPE,5-core,95,,0,2026-03-02',
        'breaker,,,,,160,2340,2026-03-02',
      ].join('\n'),
    ),
  });
  const offer = prices.getByRole('alert').filter({ hasText: 'From spring.csv' });
  await expect(offer).toContainText('3 rows can be taken; 1 row wrong');
  await expect(offer).toContainText('Row 4, price');
  await offer.getByRole('button', { name: 'Take 3 rows' }).click();
  await expect(prices).toContainText('3 prices');
  await expect(prices).not.toContainText('invented');
  const csv = await (await request.get('/shelf/prices.csv')).text();
  expect(csv.split('\r\n')[0]).toBe('item,metal,insulation,cores,section_mm2,rating_a,price,dated');

  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac/cables`);
  const panel = page.getByRole('region', { name: 'Cables that could lie for INV-01' });
  await expect(panel.getByRole('table').first().getByRole('row').nth(1)).toContainText('cheapest');
  await expect(panel).toContainText('by the company’s prices');
});

test('the bench says which supply stands behind its voltages, and what a conductor needs to bend', async ({ page }) => {
  await open(page, '/bench');
  const supply = page.getByRole('region', { name: 'Supply' });
  await fill(supply, {
    'L1–L2': '402',
    'L2–L3': '399',
    'L3–L1': '401',
    'L1–PE': '401',
    'L2–PE': '0.5',
    'L3–PE': '400',
  });
  await supply.getByLabel(/^Nominal line voltage/).selectOption('400');
  await expect(supply.getByText('stop', { exact: true })).toBeVisible();

  const runs = page.getByRole('region', { name: 'AC runs' });
  await runs.getByLabel('Calculation').selectOption('ac-bend');
  await fill(runs, { 'Core over its insulation': '15.3', 'Gland to the stud': '40', 'Barrel, depth': '35' });
  await runs.getByLabel(/^Palm, width/).fill('32');
  await expect(runs).toContainText('214.5929 mm');
});

test('curves of the makers decide where they are all given, and are drawn', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac`);
  const board = page.getByRole('region', { name: 'Board', exact: true });
  const margins = page.getByRole('region', { name: 'Margins: board and grid' });
  await expect(margins).toContainText(/tight\s*0/);
  const add = async (list: string, rows: readonly Record<string, string>[]) => {
    for (const [i, row] of rows.entries()) {
      await board.getByRole('button', { name: `Add to: p${list.slice(1)}` }).click();
      await fill(board.getByRole('group', { name: `${list}, ${i + 1}`, exact: true }), row);
    }
  };
  await add('Points of the main’s curve', [
    { Current: '1600', 'Opens no sooner than': '900' },
    { Current: '60000', 'Opens no sooner than': '0.002' },
  ]);
  await add(
    'Points of the curves of the runs’ breakers',
    ['160', '200', '250'].flatMap((a) => [
      { Breaker: a, Current: String(2 * Number(a)), 'Cleared no later than': '100' },
      { Breaker: a, Current: '5000', 'Cleared no later than': '0.02' },
    ]),
  );
  await board.getByRole('button', { name: 'Save the board' }).click();
  await saved(page);
  await expect(board.getByRole('img', { name: /^Time over current: the main.*160, 200, 250 A/ })).toBeVisible();
  // By its settings the main waits whatever flows; by its curve it is under a tenth of a second before the largest fault.
  await expect(margins).toContainText(/tight\s*1/);
});
