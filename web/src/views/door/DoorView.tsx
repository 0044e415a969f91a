import { type FormEvent, useEffect, useState } from 'react';
import { api, doorOpened, useAppDispatch } from '../../state/index.ts';
import { Button, Spread } from '../../ui/index.ts';

const useCountdown = () => {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (seconds <= 0) return undefined;
    const timer = setTimeout(() => setSeconds(seconds - 1), 1000);
    return () => clearTimeout(timer);
  }, [seconds]);
  return [seconds, setSeconds] as const;
};

/** The way in where others on the network could come in too. */
export const DoorView = () => {
  const dispatch = useAppDispatch();
  const [phrase, setPhrase] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [seconds, setSeconds] = useCountdown();
  const knock = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await api.knock(phrase);
    if (answer.ok) return dispatch(doorOpened());
    setSeconds(answer.error.seconds ?? 0);
    setTrouble(
      {
        'wrong-phrase': 'That is not the pass phrase.',
        'too-many-tries': 'Too many wrong tries one after the other.',
      }[answer.error.code] ?? 'Bashful Parlor cannot be reached. Is it still running?',
    );
    return undefined;
  };
  return (
    <Spread
      leftLabel="The door"
      rightLabel="Why it is closed"
      left={
        <form className="max-w-sm space-y-5 mt-10" onSubmit={(event) => void knock(event)}>
          <h1 className="text-name">The parlor is locked</h1>
          <div>
            <label htmlFor="phrase" className="text-small text-graphite">
              Pass phrase
            </label>
            <input
              id="phrase"
              type="password"
              autoComplete="current-password"
              value={phrase}
              maxLength={1000}
              onChange={(event) => setPhrase(event.target.value)}
              aria-invalid={trouble !== null}
              aria-describedby="phrase-trouble"
              className="text-pencil w-full min-h-touch bg-transparent border-b-2 border-dotted border-line px-0.5"
            />
            <p id="phrase-trouble" role="alert" className="font-hand text-rose mt-1.5">
              {trouble} {seconds > 0 && `Wait ${seconds} ${seconds === 1 ? 'second' : 'seconds'}.`}
            </p>
          </div>
          <Button look="main" type="submit" disabled={phrase === '' || seconds > 0}>
            Come in
          </Button>
        </form>
      }
      right={
        <div className="max-w-sm mt-10 space-y-3 text-graphite">
          <p>This parlor can be reached over the network, so it asks for the pass phrase that was set where it runs.</p>
          <p>What you did on this page before it was locked is kept in this browser, and saved once you are in.</p>
        </div>
      }
    />
  );
};
