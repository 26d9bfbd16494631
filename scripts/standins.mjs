// The fleet of stand-ins as a process of its own.
import { spawn } from 'node:child_process';

/**
 * Starts the fleet; it ends when this process does. `stdio`: of its output.
 * @param {{ stdio?: 'ignore' | 'inherit' | 'pipe', env?: Record<string, string> }} options
 */
export const spawnStandIns = ({ stdio = 'ignore', env = {} }) =>
  spawn('node', ['build/standins/main.js'], {
    stdio: ['ignore', stdio, stdio === 'pipe' ? 'pipe' : 'inherit', 'ipc'],
    env: { ...process.env, ...env },
  });
