/** Builds the companion; gives the folders of its browsers, Chromium's first. */
export function buildCompanion(options?: { hosts?: string[]; folder?: string }): Promise<[string, string]>;
