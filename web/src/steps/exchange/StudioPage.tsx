export function StudioPage() {
  return <p className="text-soft">…</p>;
}
