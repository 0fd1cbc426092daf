/** Somebody signed in at a server, as their browser is. */
export class SignedIn {
  /** @param cookie that of their session; '' for nobody */
  constructor(
    readonly url: string,
    protected readonly cookie: string,
  ) {}

  /** Calls a route with a JSON body; `version` goes along as the revision that is changed. */
  async call(method: string, route: string, body?: unknown, version?: number): Promise<Response> {
    return fetch(this.url + route, {
      method,
      headers: {
        Cookie: this.cookie,
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(version === undefined ? {} : { 'If-Match': `"${version}"` }),
      },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
  }
}

/** Signs a demo member in, as one of `As`. */
export async function signedIn<Who extends SignedIn>(
  url: string,
  member: string,
  As: new (url: string, cookie: string) => Who,
): Promise<Who> {
  const response = await fetch(`${url}/api/session/demo`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ member }),
  });
  return new As(url, response.headers.getSetCookie()[0]!.split(';')[0]!);
}
