/** An open point as a crew's phone sends it: an entry that moves no gate. */
export const openPoint = (id: string, over: Readonly<Record<string, unknown>> = {}) => ({
  id,
  kind: 'open-point',
  subject: { scope: 'site', id: 'site' },
  doneAt: new Date().toISOString(),
  by: 'R. Vahl',
  role: 'lead',
  instrument: null,
  release: 'A',
  corrects: null,
  reason: null,
  values: { text: 'a point', severity: 'work', owner: 'crew', due: null, closed: true },
  ...over,
});
