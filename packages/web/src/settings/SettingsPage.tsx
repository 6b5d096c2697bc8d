/** The shop made one's own: painters with their units and ways, rooms, cups. */
import { CALCULATION_VERSION, VERSION } from '@orthochrom/contract/version.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { ForRole } from '../frame/ForRole.tsx';
import { AddToShop } from './AddToShop.tsx';
import { CupSettings } from './CupSettings.tsx';
import { PeopleSettings } from './PeopleSettings.tsx';
import { PainterSettings } from './PainterSettings.tsx';
import { RoomSettings } from './RoomSettings.tsx';
import { ShopSettings } from './ShopSettings.tsx';
import { useSetup } from '../api/reads.ts';
import { WholeShop } from './WholeShop.tsx';

export function SettingsPage() {
  const { painter } = usePainter();
  const { data: setup } = useSetup();
  return (
    <>
      <PageHead
        title="Settings"
        line={`For ${painter.name}; another painter comes in at the foot of the rail`}
      />
      <div className="page stack">
        <PainterSettings key={painter.id} painter={painter} />
        <ForRole atLeast="lead">
          <AddToShop kind="painter" like={painter} />
        </ForRole>
        <ForRole atLeast="lead">
          {setup && <ShopSettings shop={setup.shop} />}
          <PeopleSettings />
          <WholeShop />
        </ForRole>
        <ForRole atLeast="painter">
          <ShopThings />
        </ForRole>
        <p className="quiet">
          Orthochrom {VERSION}, calculations {CALCULATION_VERSION}: each record says by which it was
          planned.
        </p>
      </div>
    </>
  );
}

/** Rooms and cups, of whoever may change them. */
function ShopThings() {
  const { painter } = usePainter();
  const { data: setup } = useSetup();
  return (
    <>
      {setup?.rooms.map((room) => (
        <RoomSettings key={room.id} room={room} />
      ))}
      <AddToShop kind="room" like={painter} />
      {setup?.cups.map((cup) => (
        <CupSettings key={cup.id} cup={cup} />
      ))}
      <AddToShop kind="cup" like={painter} />
    </>
  );
}
