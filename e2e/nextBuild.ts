import http from 'node:http';
import type { AddressInfo } from 'node:net';

/** Stands before a server, and can have its pages be those of another build, as far as a browser can tell. */
export interface NextBuild {
  url: string;
  /** From here on the pages' worker is another. */
  begin: () => void;
  stop: () => Promise<void>;
}

/** Stands before the server at an address until it is stopped. */
export async function standBefore(address: string): Promise<NextBuild> {
  let isNext = false;
  const { hostname, port } = new URL(address);
  const standing = http.createServer((request, response) => {
    const { method, url = '/', headers } = request;
    const onward = http.request({ hostname, port, method, path: url, headers }, (answer) => {
      const isWorker = isNext && url.startsWith('/service-worker.js');
      const { 'content-length': _, 'content-encoding': __, ...rest } = answer.headers;
      response.writeHead(answer.statusCode ?? 502, isWorker ? rest : answer.headers);
      if (!isWorker) return answer.pipe(response);
      answer.pipe(response, { end: false });
      return answer.once('end', () => response.end('\n// The next one.'));
    });
    onward.on('error', () => response.destroy());
    // A stream of events that its page has left.
    response.on('close', () => onward.destroy());
    if (isNext && url.startsWith('/service-worker.js'))
      for (const name of ['accept-encoding', 'if-none-match', 'if-modified-since']) onward.removeHeader(name);
    request.pipe(onward);
  });
  await new Promise<void>((ready) => standing.listen(0, '127.0.0.1', ready));
  return {
    url: `http://localhost:${(standing.address() as AddressInfo).port}`,
    begin: () => {
      isNext = true;
    },
    stop: async () => {
      standing.closeAllConnections();
      await new Promise((closed) => standing.close(closed));
    },
  };
}
