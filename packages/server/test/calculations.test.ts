import { readFileSync } from 'node:fs';
import { calculationNames } from '@orthochrom/contract/registry.ts';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';
import { EMPTY } from './templates.ts';

let shop: ShopFixture;
beforeAll(async () => {
  shop = await ShopFixture.open(EMPTY);
});
afterAll(() => shop.close());

type Example = {
  title: string;
  input: unknown;
  expect: { error?: { code: string; path: unknown[] } };
};
const examplesOf = (name: string) =>
  JSON.parse(
    readFileSync(new URL(`../../contract/examples/${name}.json`, import.meta.url), 'utf8'),
  ) as Example[];

describe.each(calculationNames)('the door of the API to %s', (name) => {
  it.each(examplesOf(name))('answers or refuses: $title', async ({ input, expect: wanted }) => {
    const { status, body } = await shop.post<Fault>(`/calculations/${name}`, input);
    if (wanted.error) {
      expect(status).toBe(422);
      expect(body.error).toMatchObject(wanted.error);
    } else {
      expect(status).toBe(200);
      expect(body).toHaveProperty('verdicts');
    }
  });
});

describe('the edges of that door', () => {
  it('knows no calculation that does not work', async () => {
    const { status, body } = await shop.post<Fault>('/calculations/divination', {});
    expect(status).toBe(404);
    expect(body.error.code).toBe('unknown-calculation');
  });

  it('refuses what is not JSON, and what is not finite', async () => {
    expect((await shop.post<Fault>('/calculations/convert', '{ "value": ')).body.error.code).toBe(
      'not-json',
    );
    const infinite = await shop.post<Fault>(
      '/calculations/convert',
      '{ "value": 1e999, "from": "C", "to": "F" }',
    );
    expect(infinite.status).toBe(422);
    expect(infinite.body.error).toMatchObject({ code: 'out-of-range', path: ['value'] });
  });

  it('answers a stop with 200: it is an answer', async () => {
    const { status, body } = await shop.post<{ verdicts: { level: string }[] }>(
      '/calculations/climate',
      {
        airTemperatureC: 10,
        relativeHumidityPercent: 90,
        panelTemperatureC: 5,
      },
    );
    expect(status).toBe(200);
    expect(body.verdicts.filter(({ level }) => level === 'stop').length).toBeGreaterThan(1);
  });

  it('prints the schemas of each calculation', async () => {
    const { body } = await shop.get<{
      input: { properties: object };
      answer: { properties: object };
    }>('/calculations/overlap/schema');
    expect(Object.keys(body.input.properties)).toContain('fanWidthMm');
    expect(Object.keys(body.answer.properties)).toContain('filmFactor');
  });

  it('does not answer a page that has bent another name to this machine', async () => {
    const status = await shop.statusFor('shop.example');
    expect(status).toBe(404);
    expect(await shop.statusFor('localhost')).toBe(200);
  });

  it('says so, and nothing of the inside, where there is nothing', async () => {
    const { status, body } = await shop.get<Fault>('/treasure');
    expect(status).toBe(404);
    expect(body.error.code).toBe('not-found');
  });
});
