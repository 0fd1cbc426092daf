import type { Heard, Press } from './presses';

/** A device of the kind that keyboards and pedals are (USB HID), as a browser gives it. */
export interface HidDevice extends Pick<EventTarget, 'addEventListener' | 'removeEventListener'> {
  opened: boolean;
  vendorId: number;
  productId: number;
  productName: string;
  open: () => Promise<void>;
}

/** What a device says of itself: the state of all its switches, as bits. */
type InputReport = Event & { reportId: number; data: DataView };

const bitsOf = (data: DataView): boolean[] =>
  Array.from({ length: data.byteLength * 8 }, (_, bit) => ((data.getUint8(bit >> 3) >> (bit & 7)) & 1) === 1);

const hex = (number: number) => number.toString(16).padStart(4, '0');

function switchPress({ vendorId, productId, productName }: HidDevice, report: number, bit: number): Press {
  const name = productName.trim().slice(0, 40) || 'USB device';
  return {
    id: `Hid${hex(vendorId)}:${hex(productId)}:${report}:${bit}`,
    label: `${name}, switch ${bit + 1}`,
  };
}

/** Hears the switches of devices that the browser has let this page have. Gives what ends it; one that cannot be opened is silent. */
export function hearHid(devices: readonly HidDevice[], heard: Heard): () => void {
  const ends = devices.map((device) => {
    const before = new Map<number, boolean[]>();
    const hear = (event: Event) => {
      const { reportId, data } = event as InputReport;
      const now = bitsOf(data);
      const last = before.get(reportId) ?? [];
      before.set(reportId, now);
      for (const [bit, isDown] of now.entries())
        if (isDown !== (last[bit] ?? false)) heard(switchPress(device, reportId, bit), isDown);
    };
    device.addEventListener('inputreport', hear);
    if (!device.opened) void device.open().catch(() => undefined);
    return () => device.removeEventListener('inputreport', hear);
  });
  return () => ends.forEach((end) => end());
}
