/** A tablet at the shop's network: keeps its cookies, and says who is at it. */
import type { Fault, Reply, ShopFixture } from './shopFixture.ts';

export class Tablet {
  private readonly origin: string;
  readonly cookies = new Map<string, string>();
  /** As they were set, with what binds them. */
  readonly setCookies: string[] = [];

  constructor(shop: ShopFixture) {
    this.origin = shop.origin;
  }

  async call<T = unknown>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Reply<T & Fault>> {
    const response = await fetch(`${this.origin}/api${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        cookie: [...this.cookies].map((pair) => pair.join('=')).join('; '),
        ...headers,
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    for (const cookie of response.headers.getSetCookie()) {
      this.setCookies.push(cookie);
      const [name, value] = cookie.split(';')[0]!.split('=') as [string, string];
      if (value === '') this.cookies.delete(name);
      else this.cookies.set(name, value);
    }
    return { status: response.status, body: (await response.json()) as T & Fault };
  }
  get<T = unknown>(path: string) {
    return this.call<T>('GET', path);
  }
  post<T = unknown>(path: string, body: unknown, headers?: Record<string, string>) {
    return this.call<T>('POST', path, body, headers);
  }
  put<T = unknown>(path: string, body: unknown) {
    return this.call<T>('PUT', path, body);
  }
}
