/** What PostgreSQL and the network say when the database is away, full or busy: whoever asked may ask again. */
const STATES: readonly string[] = [
  '25P03', // idle in a transaction for too long
  '40001', // serialization failure
  '40P01', // deadlock
  '53100', // disk full
  '53200', // out of memory
  '53300', // too many connections
  '55P03', // lock not available
  '57014', // statement timeout
  '57P01', // shut down by its administrator
  '57P02', // crash
  '57P03', // starting up
  '57P05', // session ended while idle
];
const SOCKET: readonly string[] = ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ENOENT', 'ETIMEDOUT', 'EHOSTUNREACH'];
/** Of the driver, which gives these no code. */
const DRIVER = /connection terminated|timeout exceeded when trying to connect|not queryable|query read timeout/i;

/** Why the database could not do its part just now, in its own words; null where the failure is another. */
export function databaseTrouble(cause: unknown): string | null {
  for (let at = cause; at instanceof Error; at = at.cause) {
    const code = 'code' in at && typeof at.code === 'string' ? at.code : '';
    const known = STATES.includes(code) || code.startsWith('08') || SOCKET.includes(code);
    if (known || DRIVER.test(at.message)) return at.message;
    // Several addresses of one name, each refused.
    if (at instanceof AggregateError && at.errors.some((e) => databaseTrouble(e) !== null)) return at.message;
  }
  return null;
}
