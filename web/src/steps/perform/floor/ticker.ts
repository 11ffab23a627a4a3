/// <reference lib="webworker" />
// A worker's timer keeps its pace while the page is hidden, where the page's own are slowed down. It is set for the moment
// that matters and no oftener: a hidden page's worker that ticks all the time is slowed down too.
let timer: ReturnType<typeof setTimeout> | undefined;

onmessage = ({ data: inMs }: MessageEvent<number>) => {
  clearTimeout(timer);
  timer = setTimeout(() => postMessage(null), inMs);
};
