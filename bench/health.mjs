// In a thread of its own, so that it measures the process and not the load beside it: asks ten times a second whether it is well.
import { parentPort, workerData } from 'node:worker_threads';

const times = [];
async function ask() {
  const began = performance.now();
  const ok = await fetch(workerData).then(
    (r) => r.ok,
    () => false,
  );
  times.push(ok ? performance.now() - began : Infinity);
}

const watch = setInterval(ask, 100);
parentPort.once('message', () => {
  clearInterval(watch);
  parentPort.postMessage(times);
  parentPort.close();
});
