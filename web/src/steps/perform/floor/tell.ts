/** Says what the floor does when, as an event on the window, for whoever listens: a lamp, a second screen, a test. */
export function tell(what: 'phase' | 'tone' | 'speak', detail: Record<string, unknown>) {
  dispatchEvent(new CustomEvent(`floor:${what}`, { detail: { at: performance.now(), ...detail } }));
}
