/** What the browser does not allow on a connection that is not safe, in plain words. */
export function WhatIsOff() {
  if (isSecureContext) return null;
  return (
    <p className="border-l-4 border-rule pl-3">
      This address begins with http, not https. So: the screen may go dark while you train, an open session does not
      survive a lost network once the page is closed, and it cannot be put on the home screen. Your coach can change
      that.
    </p>
  );
}
