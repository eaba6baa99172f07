/** What this window calls itself: it need not be told of its own edits. */
export const windowId: string = crypto.randomUUID();

/** Told to the window when the server no longer knows who asks. */
export const signedOut = "cuadrilla-signed-out";
