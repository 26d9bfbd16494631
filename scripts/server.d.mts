import type { ChildProcess } from 'node:child_process';
export function startServer(options: {
  url: string;
  port: number;
  demo?: boolean;
  stdio?: 'ignore' | 'inherit';
  env?: Readonly<Record<string, string>>;
}): Promise<ChildProcess>;
