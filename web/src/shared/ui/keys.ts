export function isTyping(event: Event): boolean {
  const target = event.target;
  return (
    target instanceof HTMLElement &&
    (target.closest('input, textarea, select, [role="dialog"], [role="combobox"]') !== null || target.isContentEditable)
  );
}
