import { expect, test } from '@jest/globals';
import { hearStandIn, tellStandIn } from '.';
import { hearHid, type HidDevice } from './hid';
import { hearMidi, midiPress } from './midi';

const log = () => {
  const said: string[] = [];
  return {
    said,
    heard: ({ label }: { label: string }, isDown: boolean) =>
      said.push(`${label} ${isDown ? 'down' : 'up'}`) > 0,
  };
};

test.each([
  [[0xb0, 64, 127], 'Midi1:control:64', true],
  [[0xb0, 64, 63], 'Midi1:control:64', false],
  [[0x93, 60, 1], 'Midi4:note:60', true],
  [[0x93, 60, 0], 'Midi4:note:60', false],
  [[0x83, 60, 90], 'Midi4:note:60', false],
  [[0xf8], undefined, undefined],
  [[0xe0, 0, 64], undefined, undefined],
  [[], undefined, undefined],
])('MIDI %j is %s, down: %s', (bytes, id, isDown) => {
  const said = midiPress(Uint8Array.from(bytes));
  expect([said?.press.id, said?.isDown]).toEqual([id, isDown]);
});

test('a MIDI pedal that is moved slowly is heard once down and once up, and one plugged in later too', () => {
  const { said, heard } = log();
  const inputs = [new EventTarget()];
  const access = Object.assign(new EventTarget(), { inputs: { values: () => inputs } });
  const end = hearMidi(access, heard);
  const send = (at: number, ...bytes: number[]) =>
    inputs[at]!.dispatchEvent(Object.assign(new Event('midimessage'), { data: Uint8Array.from(bytes) }));
  for (const value of [10, 70, 90, 127, 80, 20, 0]) send(0, 0xb0, 64, value);
  inputs.push(new EventTarget());
  send(1, 0x90, 40, 9);
  access.dispatchEvent(new Event('statechange'));
  send(1, 0x90, 41, 9);
  expect(said).toEqual(['MIDI control 64 down', 'MIDI control 64 up', 'MIDI note 41 down']);
  end();
  send(0, 0xb0, 64, 127);
  expect(said).toHaveLength(3);
});

test('each switch of a USB pedal is heard by itself, as it goes down and up', () => {
  const { said, heard } = log();
  let opened = 0;
  const device: HidDevice & EventTarget = Object.assign(new EventTarget(), {
    opened: false,
    vendorId: 0x5f3,
    productId: 0xff,
    productName: ' Three switches ',
    open: () => Promise.resolve(void (opened += 1)),
  });
  const end = hearHid([device], heard);
  const report = (...bytes: number[]) =>
    device.dispatchEvent(
      Object.assign(new Event('inputreport'), {
        reportId: 0,
        data: new DataView(Uint8Array.from(bytes).buffer),
      }),
    );
  report(0, 0);
  report(0b10, 0);
  report(0b10, 0b1);
  report(0, 0b1);
  end();
  report(0, 0);
  expect(opened).toBe(1);
  expect(said).toEqual([
    'Three switches, switch 2 down',
    'Three switches, switch 9 down',
    'Three switches, switch 2 up',
  ]);
});

test('what is held on the stand-in pedal goes up where the connection is lost', () => {
  const { said, heard } = log();
  const end = hearStandIn(heard);
  tellStandIn({ rest: 'middle', isDown: true });
  tellStandIn({ rest: 'middle', isDown: true });
  tellStandIn('lost');
  tellStandIn({ rest: 'middle', isDown: false });
  tellStandIn({ rest: 'left', isDown: true });
  end();
  tellStandIn({ rest: 'left', isDown: false });
  expect(said).toEqual([
    'On-screen pedal, middle down',
    'On-screen pedal, middle up',
    'On-screen pedal, left down',
  ]);
});
