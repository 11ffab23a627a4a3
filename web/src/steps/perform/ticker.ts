/// <reference lib="webworker" />
// A worker's timer keeps its pace while the page is hidden, where the page's own are slowed down.
const TICK_MS = 25;

setInterval(() => postMessage(null), TICK_MS);
