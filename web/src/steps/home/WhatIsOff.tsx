/** What the browser does not allow on a connection that is not safe, in plain words. */
export function WhatIsOff() {
  if (isSecureContext) return null;
  return (
    <p className="border-l-4 border-rule pl-3">
      This address begins with http, not https: the screen may go dark while you train, and an open session is lost when
      the page is closed without a network. Your coach can change that.
    </p>
  );
}
