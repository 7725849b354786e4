import type { Area, AreaStation } from '../../core/model/area';

/** An area whose outings have other ids here. */
export function withIds(area: Area, renamed: ReadonlyMap<string, string>): Area {
  const here = (id: string) => renamed.get(id) ?? id;
  const group = ({ stations, ...rest }: { stations: AreaStation[] }) => ({
    ...rest,
    stations: stations.map((each) => ({ ...each, outing: here(each.outing) })),
  });
  return {
    ...area,
    outings: area.outings.map(here),
    same: area.same.map(group),
    apart: area.apart.map(group),
    ...(area.known && {
      known: area.known.map((each) => ({ ...each, outing: here(each.outing) })),
    }),
  };
}
