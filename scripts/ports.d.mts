export const DATABASE_PORT: number;
export function freePort(count?: number, between?: readonly [number, number]): Promise<number>;
