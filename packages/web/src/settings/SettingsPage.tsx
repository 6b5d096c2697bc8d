/** The shop made one's own: painters with their units and ways, rooms, cups. */
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { AddToShop } from './AddToShop.tsx';
import { CupSettings } from './CupSettings.tsx';
import { PainterSettings } from './PainterSettings.tsx';
import { RoomSettings } from './RoomSettings.tsx';
import { ShopSettings } from './ShopSettings.tsx';
import { useSetup } from '../api/reads.ts';

export function SettingsPage() {
  const { painter } = usePainter();
  const { data: setup } = useSetup();
  return (
    <>
      <PageHead
        title="Settings"
        line={`For ${painter.name}; another painter is picked at the foot of the rail`}
      />
      <div className="page stack">
        <PainterSettings key={painter.id} painter={painter} />
        <AddToShop kind="painter" like={painter} />
        {setup && <ShopSettings shop={setup.shop} />}
        {setup?.rooms.map((room) => (
          <RoomSettings key={room.id} room={room} />
        ))}
        <AddToShop kind="room" like={painter} />
        {setup?.cups.map((cup) => (
          <CupSettings key={cup.id} cup={cup} />
        ))}
        <AddToShop kind="cup" like={painter} />
      </div>
    </>
  );
}
