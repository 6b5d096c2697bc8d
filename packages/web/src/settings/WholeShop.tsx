/** The whole shop out in one file, and one in: what it would change first, then all or nothing. */
import { Button, FileButton, Radio } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import type { ShopFilePreview, TableMerge } from '@orthochrom/contract/shop/shopFile.ts';
import { TABLE_WORDS } from '@orthochrom/contract/words/tableWords.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { deleteJson, postJson } from '../api/client.ts';
import { ADDRESS, refreshAll } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';

export function WholeShop() {
  return (
    <>
      <section className="card stack" aria-labelledby="whole-shop">
        <h2 className="tape" id="whole-shop" style={{ alignSelf: 'start' }}>
          The whole shop
        </h2>
        <p>
          Every job, coat, photo, sheet and setting in one file: for another machine, or for a
          drawer. PINs and trusted tablets are not in it. A copy is kept every night beside the
          database, for two weeks.
        </p>
        <div>
          <Button component="a" href={ADDRESS.wholeShop} download size="md">
            Take the shop home
          </Button>
        </div>
      </section>
      <WholeShopIn title="Bring a file of a shop in" />
    </>
  );
}

export function WholeShopIn({ title }: { title: string }) {
  const [preview, setPreview] = useState<ShopFilePreview>();
  const [busy, write] = useWrite();
  const lay = (file: File | null) =>
    file &&
    void write(async () => {
      // A picked file says by its name what it is; browsers differ in what they call it.
      const zip = new Blob([file], { type: 'application/zip' });
      setPreview(await postJson<ShopFilePreview>(ADDRESS.wholeShopIn(newId()), zip));
    });
  const drop = () =>
    void write(async () => {
      await deleteJson(ADDRESS.wholeShopLaid(preview!.id));
      setPreview(undefined);
    });
  return (
    <section className="card stack" aria-label={title}>
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        {title}
      </h2>
      {preview ? (
        <Preview preview={preview} onLeave={drop} onTaken={() => setPreview(undefined)} />
      ) : (
        <>
          <p>First you see what it would change; nothing is changed before you say so.</p>
          <div>
            <FileButton accept=".zip,application/zip" onChange={lay}>
              {(props) => (
                <Button {...props} variant="default" size="md" loading={busy}>
                  Choose the file…
                </Button>
              )}
            </FileButton>
          </div>
        </>
      )}
    </section>
  );
}

const movesSomething = ({ added, newerThere, newerHere, changedInBoth }: TableMerge): boolean =>
  added + newerThere + newerHere + changedInBoth > 0;

type PreviewProps = { preview: ShopFilePreview; onLeave: () => void; onTaken: () => void };

function Preview({ preview, onLeave, onTaken }: PreviewProps) {
  const [changedInBoth, setChangedInBoth] = useState<'ours' | 'theirs'>('ours');
  const [busy, write] = useWrite();
  const moving = preview.tables.filter(movesSomething);
  const isAsked = moving.some((table) => table.changedInBoth > 0);
  const take = () =>
    void write(async () => {
      await postJson(ADDRESS.wholeShopTake(preview.id), { changedInBoth });
      notifications.show({ title: 'It is in', message: `All of ${preview.shopName} is here.` });
      onTaken();
      await refreshAll();
    });
  return (
    <>
      <p>
        <strong>{preview.shopName}</strong>{' '}
        {preview.opensEmpty
          ? 'opens here as it is in the file.'
          : preview.isThisShop
            ? 'is this shop: what is new in the file is added, what was changed in it alone goes over ours.'
            : 'is another shop: its jobs, guns and sheets come beside ours, under our name.'}
      </p>
      {moving.length === 0 ? (
        <p>All of it is here already.</p>
      ) : (
        <div className="scrollx">
          <table className="plain">
            <thead>
              <tr>
                <th>What</th>
                <th>New</th>
                <th>Changed in the file</th>
                <th>Changed here, kept</th>
                <th>Changed in both</th>
              </tr>
            </thead>
            <tbody>
              {moving.map((table) => (
                <tr key={table.table}>
                  <td>{TABLE_WORDS[table.table] ?? table.table}</td>
                  <td>{table.added}</td>
                  <td>{table.newerThere}</td>
                  <td>{table.newerHere}</td>
                  <td>{table.changedInBoth}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {preview.renamed.length > 0 && (
        <details>
          <summary>
            {preview.renamed.length} come under another name, because ours has theirs
          </summary>
          <ul>
            {preview.renamed.map(({ what, from, to }) => (
              <li key={what + from + to}>
                {what} {from} comes as {to}
              </li>
            ))}
          </ul>
        </details>
      )}
      {isAsked && (
        <Radio.Group
          label="Where both were changed"
          description="the other side stays in the trail"
          value={changedInBoth}
          onChange={(value) => setChangedInBoth(value as 'ours')}
        >
          <Radio value="ours" label="ours stays" size="md" mt="xs" />
          <Radio value="theirs" label="the file’s goes over it" size="md" mt="xs" />
        </Radio.Group>
      )}
      <div className="row">
        <Button loading={busy} disabled={moving.length === 0} onClick={take} size="md">
          {preview.opensEmpty ? 'Open this shop' : 'Bring it in'}
        </Button>
        <Button variant="default" onClick={onLeave} size="md">
          Leave it
        </Button>
      </div>
    </>
  );
}
