/** Units, way of working, the painter and the room. */
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { PainterSettings } from './PainterSettings.tsx';
import { RoomSettings } from './RoomSettings.tsx';
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
        {setup?.rooms.map((room) => (
          <RoomSettings key={room.id} room={room} />
        ))}
      </div>
    </>
  );
}
