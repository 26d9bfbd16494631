/** CRC-16 of Modbus RTU: starts at FFFF, a byte at a time, A001 for every bit that falls out (Modbus over Serial Line V1.02, 6.2; recalled). Low byte first on the wire. */
export function crc16(bytes: Uint8Array): number {
  let crc = 0xffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xa001 : crc >>> 1;
  }
  return crc;
}
