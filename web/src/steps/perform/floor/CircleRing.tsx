/** A controlled rotation: where on the circle to be, which way round, and its quarter marks. */
export function CircleRing({ share, backwards }: { share: number; backwards: boolean }) {
  const turn = (backwards ? -1 : 1) * share * 2 * Math.PI;
  const at = (angle: number, r: number) => [60 + r * Math.sin(angle), 60 - r * Math.cos(angle)] as const;
  const [x, y] = at(turn, 46);
  return (
    <svg
      viewBox="0 0 120 120"
      className="h-[24vh] max-h-64"
      role="img"
      aria-label={backwards ? 'the other way' : 'one way'}
    >
      <circle cx={60} cy={60} r={46} fill="none" stroke="var(--rule)" strokeWidth={7} />
      {[0, 1, 2, 3].map((quarter) => {
        const [x1, y1] = at((quarter * Math.PI) / 2, 38);
        const [x2, y2] = at((quarter * Math.PI) / 2, 54);
        return <line key={quarter} x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--soft)" strokeWidth={2} />;
      })}
      <path
        d={backwards ? 'M52 30a32 32 0 0 0 -22 22m-3 -9l3 9l9 -3' : 'M68 30a32 32 0 0 1 22 22m3 -9l-3 9l-9 -3'}
        fill="none"
        stroke="var(--soft)"
        strokeWidth={3}
      />
      <circle cx={x} cy={y} r={8} fill="var(--mark)" />
    </svg>
  );
}
