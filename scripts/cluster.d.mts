export interface Cluster {
  readonly folder: string;
  readonly port: number;
  url(database: string, role?: 'app' | 'owner' | 'admin'): string;
  start(): boolean;
  stop(mode?: 'fast' | 'immediate' | 'smart'): void;
  isRunning(): boolean;
  createDatabase(database: string): void;
  dropDatabase(database: string): void;
  pid(): number;
}
export function findPostgres(): string | null;
export function cluster(wantedFolder: string, port: number): Cluster;
