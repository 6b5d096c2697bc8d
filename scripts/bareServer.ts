/** What the bench sets beside the shop: Express and pg, nothing else, moving the same bytes. */
import express from 'express';
import pg from 'pg';

const pool = new pg.Pool({ connectionString: process.env['DATABASE_URL']!, max: 10 });
const app = express();
app.use(express.json({ limit: '1mb' }));
app.get('/bytes/:name', async (req, res) => {
  const { rows } = await pool.query<{ body: string }>(
    'select body::text as body from bench_bytes where name = $1',
    [req.params.name],
  );
  res.type('json').send(rows[0]!.body);
});
app.post('/bytes/:name', async (req, res) => {
  const client = await pool.connect();
  await client.query('begin');
  await client.query('insert into bench_writes (body) values ($1)', [JSON.stringify(req.body)]);
  const { rows } = await client.query<{ body: string }>(
    'select body::text as body from bench_bytes where name = $1',
    [req.params.name],
  );
  await client.query('commit');
  client.release();
  res.type('json').send(rows[0]!.body);
});
const server = app.listen(Number(process.env['PORT']), '127.0.0.1', () =>
  console.log('listening on'),
);
process.on('SIGTERM', () => server.close(() => process.exit(0)));
