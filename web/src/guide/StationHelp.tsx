import { useNavigate } from 'react-router';
import { Button, Row, Sheet } from '../kit/kit';
import { PAGES } from './pages';
import { Text } from './Text';

/** The page of one station, laid over it. */
export function StationHelp({ station, name, onClose }: { station: string; name: string; onClose: () => void }) {
  const navigate = useNavigate();
  return (
    <Sheet title={`About ${name}`} onClose={onClose} widest="760px">
      <Text text={PAGES[station] ?? ''} headless />
      <Row>
        <Button onPress={onClose}>Close</Button>
        <Button onPress={() => void navigate('/guide')}>Open the guide</Button>
      </Row>
    </Sheet>
  );
}
