import type { CarrierWay, EthernetWay, RadioWay, ServicePorts } from '../links/otherWays';

/** Ways to units beside the bus as they hold, with what a test wants changed. Addresses for documentation: RFC 5737. */

export const ethernet = (over: Partial<EthernetWay> = {}): EthernetWay => ({
  id: 'e1',
  label: 'Hall',
  units: 18,
  longestM: 40,
  ring: false,
  ringAllowed: null,
  network: '192.0.2.0',
  prefix: 27,
  gateway: '192.0.2.1',
  first: 10,
  ...over,
});

export const radio = (over: Partial<RadioWay> = {}): RadioWay => ({
  id: 'r1',
  label: 'Gate house',
  distanceM: 50,
  mhz: 2400,
  powerDbm: 10,
  gainDb: 4,
  wallsDb: 12,
  sensitivityDbm: -90,
  ...over,
});

export const carrier = (over: Partial<CarrierWay> = {}): CarrierWay => ({
  id: 'c1',
  label: 'Ramp',
  sameSecondary: true,
  sameBusbar: true,
  ...over,
});

export const servicePorts = (over: Partial<ServicePorts> = {}): ServicePorts => ({
  id: 's1',
  label: 'INV-01',
  firstPlugged: true,
  secondPlugged: false,
  ...over,
});
