/** A controlled rotation: where on the circle to be. */
export function CircleRing({ share, backwards }: { share: number; backwards: boolean }) {
  const turn = (backwards ? -1 : 1) * share * 2 * Math.PI;
  return (
    <svg
      viewBox="0 0 120 120"
      className="h-[22vh] max-h-64"
      role="img"
      aria-label={backwards ? 'the other way' : 'one way'}
    >
      <circle cx={60} cy={60} r={46} fill="none" stroke="var(--rule)" strokeWidth={7} />
      <circle cx={60 + 46 * Math.sin(turn)} cy={60 - 46 * Math.cos(turn)} r={8} fill="var(--mark)" />
    </svg>
  );
}
