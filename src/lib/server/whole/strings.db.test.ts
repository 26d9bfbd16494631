import type { ChildProcess } from 'node:child_process';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { withStrings } from '$core/strings/arrange';
import { legalLayout } from '$core/strings/layout/legalLayout';
import { yearOfEnergy } from '$core/strings/year/yearOfEnergy';
import { M575, plane, siteOf } from '$core/testing/examples';
import { problemSchema } from '$lib/schemas/problem';
import { stringListSchema } from '$lib/schemas/site';
import { calculations as stringsCalculations } from '$core/strings/calculations';
import { newestYearSchema } from '$lib/schemas/energy';
import { freePort } from '../../../../scripts/ports.mjs';
import { startServer } from '../../../../scripts/server.mjs';

/** The string side of the built server as programs meet it. */
let at = '';
let server: ChildProcess;
beforeAll(async () => {
  const port = await freePort();
  at = `http://127.0.0.1:${port}`;
  server = await startServer({ url: process.env.DATABASE_URL ?? '', port, demo: false });
});
afterAll(() => server.kill('SIGTERM'));

const send = async (path: string, body: unknown, type = 'application/json') => {
  const response = await fetch(`${at}${path}`, {
    method: 'POST',
    headers: { 'content-type': type },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
  return { status: response.status, body: (await response.json()) as unknown };
};
const calculate = (name: string, body: unknown) => send(`/api/v1/calculations/${name}`, body);
const pointers = (body: unknown) => (problemSchema.parse(body).errors ?? []).map((e) => e.pointer);

describe('calculations of the string side', () => {
  it('give a fuse of 25 A for three strings, and none for two', async () => {
    const ask = (strings: number) => calculate('string-fuse', { module: M575, rearShare: 0, strings, school: 'IEC' });
    expect(stringsCalculations['string-fuse'].output.parse((await ask(3)).body)).toMatchObject({
      needed: true,
      ratingA: 25,
    });
    expect(stringsCalculations['string-fuse'].output.parse((await ask(2)).body)).toMatchObject({
      needed: false,
      maxUnfused: 2,
    });
  });
  it('give the drop of 55 m of 6 mm²: 0.752807 %', async () => {
    const { body } = await calculate('dc-home-run', { module: M575, modules: 18, lengthM: 55, sectionMm2: 6 });
    expect(stringsCalculations['dc-home-run'].output.parse(body).dropPercent).toBeCloseTo(0.752807, 6);
  });
  it('give what east beside west loses: 0.30495 %', async () => {
    const string = (irradianceWm2: number, cellC: number) => ({ module: M575, modules: 18, irradianceWm2, cellC });
    const { body } = await calculate('tracker-curve', {
      mpptMinV: 200,
      mpptMaxV: 1000,
      strings: [string(820, 48.575), string(430, 37.3625)],
    });
    expect(stringsCalculations['tracker-curve'].output.parse(body).lossPercent).toBeCloseTo(0.30495, 4);
  });
  it.each([
    ['string-fuse', { module: M575, rearShare: 0.31, strings: 2, school: 'IEC' }, '/rearShare'],
    ['string-fuse', { module: M575, rearShare: 0, strings: 0, school: 'IEC' }, '/strings'],
    ['dc-home-run', { module: M575, modules: 18, lengthM: 55, sectionMm2: 7 }, '/sectionMm2'],
    ['dc-home-run', { module: M575, modules: 18, lengthM: 0, sectionMm2: 6 }, '/lengthM'],
    ['tracker-curve', { mpptMinV: 200, mpptMaxV: 1000, strings: [] }, '/strings'],
  ])('point at the field that is wrong: %s %#', async (name, body, pointer) => {
    const answer = await calculate(name, body);
    expect(answer.status).toBe(422);
    expect(pointers(answer.body)).toContain(pointer);
  });
  it('refuse a module that describes no curve in words', async () => {
    const odd = { ...M575, umpV: 51, impA: 14.2, pmaxW: 724 };
    const { status, body } = await calculate('tracker-curve', {
      mpptMinV: 200,
      mpptMaxV: 1000,
      strings: [{ module: odd, modules: 18, irradianceWm2: 800, cellC: 40 }],
    });
    expect(status).toBe(422);
    expect(problemSchema.parse(body).detail).toContain('must describe a real curve');
  });
  it('take the school and the building instead of a limit: 17 modules under the NEC on a building', async () => {
    const { body } = await calculate('string-window', {
      module: M575,
      inverter: siteOf(1, []).equipment.inverters[0],
      mounting: 'pitched_gap',
      coldestC: -12,
      hottestC: 38,
      dcLegalMaxV: null,
      school: 'NEC',
      building: 'other building',
    });
    expect((body as { window: { maxModules: number } }).window.maxModules).toBe(17);
  });
});

describe('lists, weather and years of a site', () => {
  const bare = siteOf(2, [plane('south', 170)]);
  const design = {
    ...withStrings(bare, legalLayout(bare).strings),
    survey: { ...bare.survey, latitudeDeg: 48, longitudeDeg: 11 },
    energy: { ...bare.energy, monthlyMeanC: [0, 1, 5, 9, 14, 17, 19, 18, 14, 9, 4, 1] },
  };
  let site = '';
  beforeAll(async () => {
    const file = {
      format: 'bolt-yard-project',
      version: 1,
      siteId: crypto.randomUUID(),
      revision: 1,
      exportedAt: new Date().toISOString(),
      design,
      releases: [],
      records: [],
    };
    site = ((await send('/api/v1/projects', file)).body as { siteId: string }).siteId;
  });

  it('a list is read against the design and writes nothing', async () => {
    const csv = 'string,plane,modules,inverter,tracker,input\n1,south,17,INV-01,1,1\n';
    const { status, body } = await send(`/api/v1/sites/${site}/string-list`, csv, 'application/octet-stream');
    expect(status).toBe(200);
    expect(stringListSchema.parse(body).strings).toHaveLength(1);
    const project = (await (await fetch(`${at}/api/v1/sites/${site}/project`)).json()) as { design: typeof design };
    expect(project.design.strings).toHaveLength(design.strings.length);
  });
  it('wrong rows come back with a pointer to row and column', async () => {
    const csv = 'string,plane,modules\n1,attic,17\n2,south,99\n';
    const { status, body } = await send(`/api/v1/sites/${site}/string-list`, csv, 'application/octet-stream');
    expect(status).toBe(422);
    expect(pointers(body)).toEqual(['/rows/2/plane', '/rows/3/modules']);
  });
  it('a year is filed under its revision; another revision is a conflict, a broken one is pointed at', async () => {
    const { value: result } = yearOfEnergy(design, { year: 2025, weather: null });
    const made = { revision: 1, year: 2025, weather: 'clear sky', result };
    expect((await send(`/api/v1/sites/${site}/energy`, made)).status).toBe(200);
    const newest = await (await fetch(`${at}/api/v1/sites/${site}/energy`)).json();
    expect(newestYearSchema.parse(newest).newest?.result.acKwh).toBeCloseTo(result!.acKwh, 6);
    expect((await send(`/api/v1/sites/${site}/energy`, { ...made, revision: 9 })).status).toBe(409);
    const broken = await send(`/api/v1/sites/${site}/energy`, { ...made, result: { ...result, monthlyKwh: [1] } });
    expect(pointers(broken.body)).toEqual(['/result/monthlyKwh']);
    const believed = async (over: object) => (await send(`/api/v1/sites/${site}/energy`, { ...made, ...over })).body;
    expect(pointers(await believed({ result: { ...result, acKwh: 9e9 } }))).toEqual(['/result/acKwh']);
    expect(pointers(await believed({ result: { ...result, dcKwh: 1 } }))).toEqual(['/result/dcKwh']);
    expect(pointers(await believed({ weather: 'of another site' }))).toEqual(['/weather']);
  });
  it('weather without a year of hours is refused, null takes it away, and a site that is not there is said', async () => {
    const short = {
      label: 'x',
      latitudeDeg: null,
      longitudeDeg: null,
      utcOffsetH: 0,
      coldestC: 0,
      notes: [],
      hours: [],
    };
    expect(pointers((await send(`/api/v1/sites/${site}/weather`, { weather: short })).body)).toEqual([
      '/weather/hours',
    ]);
    expect((await send(`/api/v1/sites/${site}/weather`, { weather: null })).body).toEqual({ fingerprint: null });
    const nowhere = '01969a00-1000-7000-8000-00000000ffff';
    expect((await send(`/api/v1/sites/${nowhere}/weather`, { weather: null })).status).toBe(404);
    expect((await fetch(`${at}/api/v1/sites/${nowhere}/energy`)).status).toBe(404);
  });
  it('files are named after the site, and a site that is not there has none', async () => {
    const csv = await fetch(`${at}/sites/${site}/strings/lists/map.csv`);
    expect(csv.headers.get('content-disposition')).toBe('attachment; filename="test-site-strings.csv"');
    expect((await csv.text()).split('\r\n')[0]).toBe(
      'string,plane,modules,inverter,tracker,input,branch,start_x_m,start_y_m,length_m,leads_m,y_m',
    );
    expect((await fetch(`${at}/sites/01969a00-1000-7000-8000-00000000ffff/strings/lists/map.xlsx`)).status).toBe(404);
  });
});
