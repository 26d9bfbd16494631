import type { ChildProcess } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { M575, SURVEY, T100, plane, runOf, siteOf } from '$core/testing/examples';
import { calculations as acCalculations } from '$core/ac/calculations';
import { LINE_ELEMENTS } from '$core/kernel/check';
import { assessmentSchema } from '$core/design/calculations';
import { calculations as provingCalculations } from '$core/proving/calculations';
import { calculations as stringsCalculations } from '$core/strings/calculations';
import { problemSchema } from '$lib/schemas/problem';
import { applyEdit } from '$core/design';
import type { SiteDesign } from '$core/design';
import type { Changed } from '$lib/schemas/site';
import { changedSchema, createdSchema } from '$lib/schemas/site';
import jsonpatch from 'fast-json-patch';
import { freePort } from '../../../../scripts/ports.mjs';
import { startServer } from '../../../../scripts/server.mjs';

/** The built server as programs meet it. */
let at = '';
let server: ChildProcess;
beforeAll(async () => {
  const port = await freePort();
  at = `http://127.0.0.1:${port}`;
  // Where no stand-ins run.
  const env = { YARD_FLEET_PORT: String(await freePort()) };
  server = await startServer({ url: process.env.DATABASE_URL ?? '', port, demo: false, env });
});
afterAll(() => server.kill('SIGTERM'));

const post = (path: string, body: unknown, type = 'application/json') =>
  fetch(`${at}${path}`, {
    method: 'POST',
    headers: { 'content-type': type },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
const calculate = async (name: string, body: unknown) => {
  const response = await post(`/api/v1/calculations/${name}`, body);
  return { status: response.status, body: (await response.json()) as unknown };
};
const temperatures = { coldestC: -12, hottestC: 38, dcLegalMaxV: 1500 };

it('tells what is too large while it comes, and lets nobody down who is refused before all was sent', async () => {
  const sent = (type: string, megabytes: number) =>
    fetch(`${at}/api/v1/sites`, {
      method: 'POST',
      headers: { 'content-type': type },
      duplex: 'half',
      body: new Blob([`"${'x'.repeat(megabytes * 1024 * 1024)}"`]).stream(),
    } as RequestInit);
  expect((await sent('application/json', 5.5)).status).toBe(413);
  expect((await sent('text/plain', 0.9)).status).toBe(415);
});

describe('calculations', () => {
  it('give a string window of 6 to 19 modules', async () => {
    const { body } = await calculate('string-window', {
      module: M575,
      inverter: T100,
      mounting: 'pitched_gap',
      building: 'other building',
      ...temperatures,
    });
    expect(stringsCalculations['string-window'].output.parse(body).window).toMatchObject({
      minModules: 6,
      maxModules: 19,
      preferred: { min: 15, max: 17 },
    });
  });
  it('lay a design out legally', async () => {
    const { body } = await calculate('layout', { design: siteOf(2, [plane('south', 160)]) });
    const layout = stringsCalculations.layout.output.parse(body);
    expect(layout.violations).toEqual([]);
    expect(layout.strings.length).toBeGreaterThan(0);
  });
  it('judge a run, a chain, a whole design', async () => {
    const run = acCalculations['ac-run'].output.parse(
      (await calculate('ac-run', { run: runOf('inv-1'), inverter: T100, survey: SURVEY })).body,
    );
    // Everything that is judged holds; what nobody judges yet keeps the whole unknown.
    expect(new Set(run.checks.map((c) => c.verdict))).toEqual(new Set(['holds', 'unknown']));
    expect(run.verdict).toBe('unknown');
    expect(
      acCalculations['ac-run'].output.parse((await calculate('chain', { design: siteOf(2, []) })).body).checks.length,
    ).toBeGreaterThan(0);
    expect(
      assessmentSchema.parse((await calculate('assessment', { design: siteOf(1, [plane('p', 30)]) })).body).line.length,
    ).toBe(LINE_ELEMENTS.length);
  });
  it('judge a string, its insulation and AC voltages', async () => {
    const test = {
      module: M575,
      modules: 18,
      voltageV: 826.5,
      currentA: 10.3,
      cellC: 43.16,
      irradianceWm2: 720,
      coldestC: -12,
      limitV: 1100,
      sistersV: [],
      otherModules: null,
    };
    expect(provingCalculations['string-test'].output.parse((await calculate('string-test', test)).body)).toMatchObject({
      verdict: 'stop',
      causes: expect.arrayContaining([expect.objectContaining({ cause: 'minus1' })]),
    });
    expect(
      provingCalculations.insulation.output.parse(
        (
          await calculate('insulation', {
            stringUocStcV: 850,
            moduleSystemMaxV: 1000,
            sectionKw: 9,
            testV: 1000,
            megohm: 3.2,
            seconds: 60,
          })
        ).body,
      ).verdict,
    ).toBe('holds');
    expect(
      provingCalculations.insulation.output.parse(
        (
          await calculate('ac-voltages', {
            gridCode: 'IEEE 1547 enter service',
            nominalLineV: 480,
            lineV: [489, 486, 491],
            phaseV: [],
          })
        ).body,
      ).verdict,
    ).toBe('holds');
  });
});

describe('errors', () => {
  it('are problem documents with a pointer to the field and what would be right', async () => {
    const { status, body } = await calculate('string-window', {
      module: { ...M575, uocV: 5000 },
      inverter: T100,
      mounting: 'pitched_gap',
      building: 'other building',
      ...temperatures,
    });
    expect(status).toBe(422);
    expect(problemSchema.parse(body).errors).toEqual([
      { pointer: '/module/uocV', detail: 'Open-circuit voltage: 5 to 200 V.' },
    ]);
  });
  it.each([
    ['broken JSON', '/api/v1/calculations/layout', '{"design":', 'application/json', 400],
    ['another type', '/api/v1/calculations/layout', '<a/>', 'application/xml', 415],
    ['no such calculation', '/api/v1/calculations/nothing', '{}', 'application/json', 404],
    [
      'no such site',
      '/api/v1/sites/01900000-0000-7000-8000-000000000000/edits',
      '{"revision":1,"edit":{"kind":"lay-out"}}',
      'application/json',
      404,
    ],
    ['an id that is none', '/api/v1/sites/x/undo', '{"revision":1}', 'application/json', 404],
    ['an unknown edit', '/api/v1/sites/x/edits', '{"revision":1,"edit":{"kind":"explode"}}', 'application/json', 422],
    ['a foreign project', '/api/v1/projects', '{"hello":1}', 'application/json', 422],
  ])('%s', async (_, path, body, type, status) => {
    const response = await post(path, body, type);
    expect(response.status).toBe(status);
    expect(response.headers.get('content-type')).toContain('application/problem+json');
    expect(problemSchema.parse(await response.json()).status).toBe(status);
  });
  it('refuse a body over the limit', async () =>
    expect((await post('/api/v1/projects', 'x'.repeat(21 * 1024 * 1024))).status).toBe(413));
});

describe('the server', () => {
  it('describes itself as OpenAPI 3.1, with units, and every path it names answers', async () => {
    const doc = (await (await fetch(`${at}/api/v1/openapi.json`)).json()) as {
      openapi: string;
      paths: Record<string, Record<string, unknown>>;
      components: { schemas: Record<string, unknown> };
    };
    expect(doc.openapi).toBe('3.1.0');
    expect(Object.keys(doc.components.schemas)).toEqual(
      expect.arrayContaining(['ModuleType', 'InverterType', 'SiteDesign', 'Check', 'Problem']),
    );
    expect(JSON.stringify(doc.components.schemas['ModuleType'])).toContain('"unit":"V"');
    for (const [path, methods] of Object.entries(doc.paths)) {
      const method = Object.keys(methods)[0]?.toUpperCase() ?? '';
      const response = await fetch(
        `${at}${path.replace('{id}', '01900000-0000-7000-8000-000000000000')}`,
        method === 'GET' ? {} : { method, headers: { 'content-type': 'application/json' }, body: '{}' },
      );
      const answers = path.endsWith('/stand-ins') ? [503] : [200, 404, 422];
      expect(answers, `${method} ${path}`).toContain(response.status);
      expect(response.status === 404 ? response.headers.get('content-type') : 'application/problem+json').toContain(
        'problem',
      );
    }
  });
  it('says where no stand-ins run, and a scan says it as its last line', async () => {
    const away = await fetch(`${at}/api/v1/stand-ins`);
    expect([away.status, away.headers.get('retry-after')]).toEqual([503, expect.stringMatching(/^\d+$/)]);
    expect(problemSchema.parse(await away.json()).detail).toContain('The stand-ins do not answer');
    const file = await readFile('demo/tarnholm-ice-rink.project.json', 'utf8');
    const { siteId } = createdSchema.parse(await (await post('/api/v1/projects', file)).json());
    const scan = await post(`/api/v1/sites/${siteId}/bus-scan`, {});
    expect([scan.status, scan.headers.get('content-type')]).toEqual([200, 'application/x-ndjson']);
    expect(JSON.parse((await scan.text()).trim())).toEqual({
      failed: expect.stringMatching(/^Nobody answers on port/),
    });
    const move = await post(`/api/v1/sites/${siteId}/bus-address`, { serial: 'A', from: 1, to: 2 });
    expect(move.status).toBe(503);
    expect((await post(`/api/v1/sites/${siteId}/bus-unit`, { address: 1 })).status).toBe(503);
    const setUp = { serial: 'A', address: 1, gridCode: 1 };
    expect((await post(`/api/v1/sites/${siteId}/bus-set-up`, setUp)).status).toBe(503);
    expect((await post(`/api/v1/sites/${siteId}/bus-set-up`, { ...setUp, gridCode: 9 })).status).toBe(422);
    expect((await post(`/api/v1/sites/${siteId}/bus-unit`, { address: 248 })).status).toBe(422);
    expect((await post(`/api/v1/sites/${siteId}/bus-scan`, { times: 0 })).status).toBe(422);
  });
  it('answers an edit and its undo with what changed, not with the design', async () => {
    const file = JSON.parse(await readFile('demo/tarnholm-ice-rink.project.json', 'utf8')) as { design: SiteDesign };
    const { siteId } = createdSchema.parse(await (await post('/api/v1/projects', file)).json());
    const change = async (what: 'edits' | 'undo', body: object) => {
      const text = await (await post(`/api/v1/sites/${siteId}/${what}`, body)).text();
      expect(text.length, text.slice(0, 300)).toBeLessThan(5000);
      return changedSchema.parse(JSON.parse(text)) as Changed;
    };
    const project = await (await fetch(`${at}/api/v1/sites/${siteId}/project`)).json();
    const { revision } = project as { revision: number };
    const [a, b] = file.design.strings;
    const edit = { kind: 'hang-string', stringId: a!.id, place: b!.place } as const;
    const edited = await change('edits', { revision, edit });
    expect(edited).toMatchObject({ revision: revision + 1, redoes: null, changes: [] });
    expect(edited.undoes).toContain(`string ${a!.number} to INV-`);
    const undone = await change('undo', { revision: revision + 1 });
    const back = jsonpatch.applyPatch(structuredClone(applyEdit(file.design, edit)), undone.changes).newDocument;
    expect(back).toEqual(file.design);
    expect(undone).toMatchObject({ revision: revision + 2, undoes: null, redoes: edited.undoes });
  });
  it('is well while its database is', async () =>
    expect(await (await fetch(`${at}/healthz`)).json()).toEqual({ status: 'ok', database: 'ok' }));
  it('answers no other name than this machine’s', async () => {
    const { request } = await import('node:http');
    const status = await new Promise((resolve) =>
      request(at, { headers: { host: 'somewhere.example' } }, (r) => resolve(r.statusCode)).end(),
    );
    expect(status).toBe(421);
  });
  it('refuses in the words of a problem, whatever is asked', async () => {
    const json = { 'content-type': 'application/json' };
    const name = JSON.stringify({ name: 'refused' });
    const asked: readonly (readonly [number, string, RequestInit])[] = [
      [404, '/api/v1/nothing', {}],
      [404, '/api/v1/sites/01969a00-1000-7000-8000-00000000ffff/project', {}],
      [404, '/api/v1/sites/no-uuid/project', {}],
      [405, '/api/v1/sites', { method: 'DELETE' }],
      [415, '/api/v1/sites', { method: 'POST', body: name, headers: { 'content-type': 'application/xml' } }],
      [400, '/api/v1/sites', { method: 'POST', body: '{', headers: json }],
      [422, '/api/v1/sites', { method: 'POST', body: '{"name":"\\u0000"}', headers: json }],
      [413, '/api/v1/sites', { method: 'POST', body: ' '.repeat(6 * 1024 * 1024), headers: json }],
      [403, '/api/v1/sites', { method: 'POST', body: name, headers: { ...json, origin: 'http://elsewhere.example' } }],
    ];
    for (const [status, path, init] of asked) {
      const response = await fetch(`${at}${path}`, init);
      expect([path, response.status, response.headers.get('content-type')]).toEqual([
        path,
        status,
        'application/problem+json',
      ]);
      expect(problemSchema.parse(await response.json())).toMatchObject({ status });
      if (status === 405) expect(response.headers.get('allow')).toContain('POST');
    }
    const own = { ...json, origin: at };
    expect((await fetch(`${at}/api/v1/sites`, { method: 'POST', body: name, headers: own })).status).toBe(201);
  });
  it('lets nobody frame anything it sends', async () => {
    for (const path of ['/', '/healthz', '/api/v1/openapi.json', '/api/v1/nothing', '/mark.svg']) {
      const { headers } = await fetch(`${at}${path}`);
      expect([path, headers.get('x-frame-options'), headers.get('x-content-type-options')]).toEqual([
        path,
        'DENY',
        'nosniff',
      ]);
    }
  });
  it('takes and gives a whole project, and prints it as a PDF of real text', async () => {
    const file = await readFile('demo/tarnholm-ice-rink.project.json', 'utf8');
    const { siteId } = (await (await post('/api/v1/projects', file)).json()) as { siteId: string };
    const out = (await (await fetch(`${at}/api/v1/sites/${siteId}/project`)).json()) as { design: unknown };
    expect(out.design).toEqual(JSON.parse(file).design);
    const pdf = await fetch(`${at}/sites/${siteId}/handover/pack.pdf`);
    expect(pdf.headers.get('content-type')).toBe('application/pdf');
    const bytes = Buffer.from(await pdf.arrayBuffer());
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    const objects = bytes.toString('latin1');
    expect((objects.match(/\/Type \/Page\b/g) ?? []).length).toBeGreaterThan(5);
    // Tagged (PDF 32000-1, 14.8), with bookmarks, and drawings that are told in words.
    for (const part of ['/StructTreeRoot', '/Marked true', '/S /TH', '/S /Figure', '/Outlines'])
      expect(objects, part).toContain(part);
    expect(objects).toMatch(/\/Alt \(One-line diagram of INV-01 to INV-08/);
  });
});
