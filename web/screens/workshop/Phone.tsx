import { toMinute } from '#core/units/index';
import { Smartphone, X } from 'lucide-react';
import { toDataURL } from 'qrcode';
import { useEffect, useState } from 'react';
import type { PhoneState } from '../../api/answers.ts';
import {
  useClosePhoneMutation,
  useNewPhoneCodeMutation,
  useOpenPhoneMutation,
  usePhoneQuery,
  useRevokePhoneMutation,
} from '../../api/workshopApi.ts';
import { tellProblem } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Chips } from '../../views/fields/Chips.tsx';

const WATCH_MS = 3000;
const HOURS = ['1', '3', '8'] as const;

/** A phone at the bench, over the home network: opened for a time, paired by a code, taken away again. */
export function Phone() {
  const [watching, setWatching] = useState(false);
  const { data: phone } = usePhoneQuery(undefined, { pollingInterval: watching ? WATCH_MS : 0 });
  useEffect(() => setWatching(phone?.url != null), [phone?.url]);
  return (
    <section className="sheet" aria-labelledby="phone">
      <h2 id="phone" className="flex items-center gap-2">
        <Smartphone size={20} aria-hidden /> Phone at the bench
      </h2>
      {phone && (phone.url === null ? <Closed phone={phone} /> : <Open phone={phone} />)}
      {phone && phone.devices.length > 0 && <Devices phone={phone} />}
    </section>
  );
}

function Closed({ phone }: { phone: PhoneState }) {
  const [open, { isLoading }] = useOpenPhoneMutation();
  const [name, setName] = useState(phone.names[0] ?? '');
  const [hours, setHours] = useState<(typeof HOURS)[number]>('3');
  if (phone.names.length === 0)
    return <p className="mt-2">This machine is on no network of its own. Join the home network, then come back here.</p>;
  return (
    <div className="mt-2 space-y-4">
      <p>
        Off. Opened, a paired phone on your home network may use bench, board, shelf and log. What passes is not encrypted: only at home,
        and never on a network shared with strangers.
      </p>
      {phone.names.length > 1 && (
        <Chips
          legend="Address of this machine"
          options={phone.names.map((own) => ({ value: own, label: own }))}
          value={name}
          onChange={setName}
        />
      )}
      <Chips
        legend="For how long"
        options={HOURS.map((own) => ({ value: own, label: own === '1' ? '1 hour' : `${own} hours` }))}
        value={hours}
        onChange={setHours}
      />
      <button
        type="button"
        className="act"
        disabled={isLoading}
        onClick={() =>
          void open({ name, hours: Number(hours) })
            .unwrap()
            .catch(tellProblem)
        }
      >
        Open it for a phone
      </button>
    </div>
  );
}

function Open({ phone: { url, until, code } }: { phone: PhoneState }) {
  const words = useWords();
  const [close] = useClosePhoneMutation();
  const [renew] = useNewPhoneCodeMutation();
  return (
    <div className="mt-2 space-y-3">
      <p>
        Open at <span className="figure break-all">{url}</span>
        {until && <> until {words.moment(toMinute(until))}, then off by itself.</>}
      </p>
      {code ? (
        <Code url={`${url}/pair?code=${code.code}`} code={code.code} until={words.moment(toMinute(code.until))} />
      ) : (
        <p>The code has been used or has run out.</p>
      )}
      <div className="flex flex-wrap gap-3">
        <button type="button" className="act" onClick={() => void renew().unwrap().catch(tellProblem)}>
          New code
        </button>
        <button type="button" className="act" onClick={() => void close().unwrap().catch(tellProblem)}>
          Close it now
        </button>
      </div>
    </div>
  );
}

function Code({ url, code, until }: { url: string; code: string; until: string }) {
  const [picture, setPicture] = useState<string | null>(null);
  useEffect(() => {
    let current = true;
    void toDataURL(url, { margin: 2, width: 220 }).then((own) => current && setPicture(own));
    return () => {
      current = false;
    };
  }, [url]);
  return (
    <div className="flex flex-wrap items-center gap-4">
      {picture && <img src={picture} width={180} height={180} alt="QR code of the address to pair at" className="border border-hairline" />}
      <p>
        Scan it, or open the address and type
        <span className="figure block text-[28px] tracking-wider">
          {code.slice(0, 4)} {code.slice(4)}
        </span>
        <span className="second text-small">for one phone, until {until}</span>
      </p>
    </div>
  );
}

function Devices({ phone }: { phone: PhoneState }) {
  const words = useWords();
  const [revoke] = useRevokePhoneMutation();
  return (
    <>
      <h3 className="mt-4">Paired</h3>
      <ul className="mt-1">
        {phone.devices.map((device) => (
          <li key={device.id} className="flex items-center justify-between gap-3 border-t border-hairline py-1">
            <span>
              {device.name} <span className="second text-small">since {words.moment(toMinute(device.pairedAt))}</span>
            </span>
            <button
              type="button"
              className="p-2"
              aria-label={`Take ${device.name} out`}
              title="Take it out"
              onClick={() => void revoke(device.id).unwrap().catch(tellProblem)}
            >
              <X size={18} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
