// In a thread of its own, so that it measures the process and not the load beside it: asks again and again whether it is well.
import { parentPort, workerData } from 'node:worker_threads';

const { url, everyMs } = workerData;
const times = [];
let asking = 0;
async function ask() {
  // Where an answer takes long the questions do not pile up behind it.
  if (asking > 1) return;
  asking += 1;
  const began = performance.now();
  const ok = await fetch(url).then(
    (r) => r.ok,
    () => false,
  );
  times.push(ok ? performance.now() - began : Infinity);
  asking -= 1;
}

await ask();
times.length = 0;
parentPort.postMessage('ready');
const watch = setInterval(ask, everyMs);
parentPort.once('message', async () => {
  clearInterval(watch);
  while (asking > 0) await new Promise((resolve) => setTimeout(resolve, 5));
  parentPort.postMessage(times);
  parentPort.close();
});
