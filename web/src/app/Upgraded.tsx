import { useState } from 'react';
import { useNavigate } from 'react-router';
import { NEWS, newsRead, upgraded } from '../guide/news';
import { Button, Row } from '../kit/kit';
import { Told } from './Repairs';

/** One line, once, after Isotherm was upgraded. */
export function Upgraded() {
  const navigate = useNavigate();
  const [shown, setShown] = useState(() => upgraded(() => localStorage));
  if (!shown) {
    return null;
  }
  const dismiss = () => {
    newsRead(() => localStorage);
    setShown(false);
  };
  return (
    <Told role="status">
      <Row>
        Isotherm was upgraded to version {NEWS.version}.
        <Button onPress={() => void navigate('/news')}>What is new</Button>
        <Button onPress={dismiss}>Dismiss</Button>
      </Row>
    </Told>
  );
}
