import { Redirect, usePathname, type Href } from 'expo-router';
import { NotFound } from '../shared/NotFound';
import { movedTo } from './movedPlaces';

/** An address that no screen has: one of old goes on to where the place is now, with what was asked of it. */
export function UnknownAddress() {
  const moved = movedTo(usePathname());
  return moved === null ? <NotFound /> : <Redirect href={`${moved}${window.location.search}` as Href} />;
}
