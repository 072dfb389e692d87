import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, read } from '../../api/client';
import { queries } from '../../api/queries';
import { AskSure, Button, Heading, Muted, Row } from '../../kit/kit';

/** Three invented cars to look at, loaded and removed by a press. */
export function DemoCars() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const here = useQuery(queries.demo()).data;
  const [busy, setBusy] = useState(false);
  const [asked, setAsked] = useState(false);
  const [problem, setProblem] = useState<string>();
  const again = async () => {
    for (const key of ['demo', 'cars']) {
      await client.invalidateQueries({ queryKey: [key] });
    }
  };
  const load = async () => {
    setBusy(true);
    setProblem(undefined);
    try {
      const [first] = (await read(api.POST('/api/demo'))).cars;
      await again();
      if (first) {
        void navigate(`/cars/${first}/duty`);
      }
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
      setBusy(false);
    }
  };
  return (
    <section aria-label="Demo garage" style={{ display: 'flex', flexDirection: 'column', gap: 8 }}>
      <Heading>Demo garage</Heading>
      <Muted>
        Three invented cars with their designs, logs and builds: one whose first core does not hold, one that tows, and
        one that needs no cooler. They stand beside your own cars and change nothing of them.
      </Muted>
      <Row>
        {here?.whole === false && (
          <Button onPress={() => void load()} isDisabled={busy}>
            {busy ? 'Loading…' : 'Load demo garage'}
          </Button>
        )}
        {here && here.cars.length > 0 && <Button onPress={() => setAsked(true)}>Remove demo garage…</Button>}
      </Row>
      {problem && <p role="alert">▲ {problem}</p>}
      {asked && (
        <AskSure
          title="Remove demo garage"
          text="The invented cars go, with all that was changed in them. Your own cars stay as they are."
          action="Remove demo garage"
          onClose={() => setAsked(false)}
          onSure={async () => {
            await read(api.DELETE('/api/demo'));
            await again();
          }}
        />
      )}
    </section>
  );
}
