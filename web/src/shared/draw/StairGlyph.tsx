/** The product's one shape. */
export function StairGlyph({ size = 26 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 26 26" aria-hidden="true">
      <path d="M2 22h6v-5h5v-5h5V7h6" fill="none" stroke="currentColor" strokeWidth="3" />
    </svg>
  );
}
