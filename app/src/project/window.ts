/** What this window calls itself: it need not be told of its own edits. */
export const windowId: string = crypto.randomUUID();
