import type {
  ActiveFilter,
  Bus,
  BusLink,
  BusLoad,
  CapacitorBank,
  DrivePoint,
  Lineup,
  Specification,
  Transformer,
} from "../../api/client";

/** A drive point with its place across. */
export interface PlacedPoint {
  readonly point: DrivePoint;
  readonly x: number;
}

/** A lineup's busbar and its branches. */
export interface PlacedLineup {
  readonly lineup: Lineup;
  readonly fromX: number;
  readonly toX: number;
  readonly feedX: number;
  /** Height of the bus that it hangs from. */
  readonly busY: number;
  readonly points: readonly PlacedPoint[];
}

/** A bus bar. */
export interface PlacedBus {
  readonly bus: Bus;
  readonly fromX: number;
  readonly toX: number;
  readonly y: number;
}

/** A transformer or closed link from one bar down to another. */
export interface PlacedFeeder {
  readonly element: Transformer | BusLink;
  readonly x: number;
  readonly fromY: number;
  readonly toY: number;
}

/** A link that does not carry the tree: a coupler, a loop. Drawn from the end of one bar to the end of another. */
export interface PlacedTie {
  readonly link: BusLink | Transformer;
  readonly fromX: number;
  readonly fromY: number;
  readonly toX: number;
  readonly toY: number;
}

/** A load or capacitor bank on a bar. */
export interface PlacedStub {
  readonly element: BusLoad | CapacitorBank | ActiveFilter;
  readonly x: number;
  readonly y: number;
}

/** Where everything stands in the single-line diagram. */
export interface Plan {
  readonly width: number;
  readonly height: number;
  readonly sourceX: number;
  readonly sourceY: number;
  readonly buses: readonly PlacedBus[];
  readonly feeders: readonly PlacedFeeder[];
  readonly ties: readonly PlacedTie[];
  readonly stubs: readonly PlacedStub[];
  readonly lineups: readonly PlacedLineup[];
}

const pointPitch = 100;
const stubPitch = 96;
const feederPitch = 132;
const lineupGap = 28;
const between = 44;
const margin = 20;
const top = 50;
const levelHeight = 118;
const lineupHeight = 204;
const stubHeight = 74;
// Beside a transformer stand its name, rating and load.
const feederText = 100;
// Faults and the mark of the PCC, behind the name of a bus.
const busFigures = 176;

// A bold letter is 6.6 px wide at most, on the mean of a name.
const nameWidth = (name: string) => 6.6 * name.length + 8;

/** Name of a bus, and its voltage where the name does not say it. */
export function busWords({ name, nominalVoltageV }: Bus): { readonly name: string; readonly voltage: string } {
  const voltage = nominalVoltageV >= 1000 ? `${nominalVoltageV / 1000} kV` : `${nominalVoltageV} V`;
  return { name, voltage: name.includes(voltage) ? "" : `${voltage}, ` };
}

/** Where what stands written at the left end of a bus is over: lines from above come in behind it. */
function behindBusText(left: number, bus: Bus): number {
  const { name, voltage } = busWords(bus);
  return left + 16 + nameWidth(name) + 6.6 * voltage.length + busFigures;
}

interface Node {
  readonly bus: Bus;
  readonly level: number;
  readonly feeders: (Transformer | BusLink)[];
  readonly children: Node[];
}

/**
 * Lays out the plant as a tree from the source: buses in levels, what hangs on a bus below it from left to right, other
 * buses beside. Links that close loops or stand open are drawn between the ends of bars.
 */
export function layout({
  source,
  distribution,
  lineups,
}: Pick<Specification, "source" | "distribution" | "lineups">): Plan {
  const { roots, used } = grow(source.busId, distribution);
  const plan = {
    buses: [] as PlacedBus[],
    feeders: [] as PlacedFeeder[],
    stubs: [] as PlacedStub[],
    lineups: [] as PlacedLineup[],
  };
  let bottom = 0;

  const place = (node: Node, left: number, parentY: number | undefined): number => {
    const y = top + node.level * levelHeight;
    let x = left + margin;
    for (const element of [
      ...distribution.loads,
      ...distribution.capacitorBanks,
      ...(distribution.activeFilters ?? []),
    ].filter((e) => e.busId === node.bus.id)) {
      plan.stubs.push({ element, x: x + stubPitch / 2, y });
      x += stubPitch;
      bottom = Math.max(bottom, y + stubHeight);
    }
    for (const lineup of lineups.filter((l) => l.busId === node.bus.id)) {
      const fromX = x;
      const points = lineup.drivePoints.map((point, i) => ({ point, x: fromX + pointPitch * (i + 0.5) }));
      const pointsToX = fromX + Math.max(1, points.length) * pointPitch;
      const feedX = Math.max((fromX + pointsToX) / 2, fromX + nameWidth(`${lineup.tag} ${lineup.name}`));
      const toX = Math.max(pointsToX, feedX + margin);
      plan.lineups.push({ lineup, fromX, toX, feedX, busY: y, points });
      x = toX + lineupGap;
      bottom = Math.max(bottom, y + lineupHeight);
    }
    for (const child of node.children) {
      x = place(child, x, y) + between;
    }
    const inner = Math.max(x - (node.children.length > 0 ? between : 0), left + 220);
    const spread = feederPitch * (node.feeders.length - 1);
    const firstX = Math.max((left + inner - spread) / 2, behindBusText(left, node.bus));
    const isFed = node.feeders.length > 0 || node.bus.id === source.busId;
    const right = isFed ? Math.max(inner, firstX + Math.max(spread, 0) + feederText) : inner;
    plan.buses.push({ bus: node.bus, fromX: left, toX: right, y });
    bottom = Math.max(bottom, y + 24);
    if (parentY !== undefined) {
      node.feeders.forEach((element, i) => {
        plan.feeders.push({
          element,
          x: firstX + i * feederPitch,
          fromY: parentY,
          toY: y,
        });
      });
    }
    return right;
  };

  let x = margin;
  for (const root of roots) {
    x = place(root, x, undefined) + between;
  }
  const width = Math.max(640, x - between + margin);
  const at = new Map(plan.buses.map((b) => [b.bus.id, b]));
  const first = at.get(source.busId);
  return {
    ...plan,
    ties: [...distribution.links, ...distribution.transformers]
      .filter((l) => !used.has(l.id))
      .flatMap((link) => tie(link, at.get(link.fromBusId), at.get(link.toBusId))),
    width,
    height: bottom + 16,
    sourceX: first ? Math.max((first.fromX + first.toX) / 2, behindBusText(first.fromX, first.bus)) : width / 2,
    sourceY: first?.y ?? top,
  };
}

function tie(link: BusLink | Transformer, a: PlacedBus | undefined, b: PlacedBus | undefined): PlacedTie[] {
  if (!a || !b) {
    return [];
  }
  const [left, right] = a.fromX <= b.fromX ? [a, b] : [b, a];
  return [{ link, fromX: left.toX, fromY: left.y, toX: right.fromX, toY: right.y }];
}

// The tree by transformers and links that are normally closed; then what only open links reach; then the rest.
function grow(sourceBusId: string, d: Specification["distribution"]): { roots: Node[]; used: Set<string> } {
  const used = new Set<string>();
  const placed = new Map<string, Node>();
  const roots: Node[] = [];
  const root = (bus: Bus) => {
    const node: Node = { bus, level: 0, feeders: [], children: [] };
    placed.set(bus.id, node);
    roots.push(node);
    return node;
  };
  const spread = (from: Node) => {
    const waiting = [from];
    for (let node = waiting.shift(); node; node = waiting.shift()) {
      const edges: (Transformer | BusLink)[] = [...d.transformers, ...d.links.filter((l) => l.normallyClosed)];
      for (const edge of edges) {
        const other =
          edge.fromBusId === node.bus.id ? edge.toBusId : edge.toBusId === node.bus.id ? edge.fromBusId : undefined;
        const bus = d.buses.find((b) => b.id === other);
        if (!bus || used.has(edge.id)) {
          continue;
        }
        const known = placed.get(bus.id);
        if (!known) {
          const child: Node = { bus, level: node.level + 1, feeders: [edge], children: [] };
          placed.set(bus.id, child);
          node.children.push(child);
          waiting.push(child);
          used.add(edge.id);
        } else if (node.children.includes(known) && "ratedKva" in edge) {
          known.feeders.push(edge);
          used.add(edge.id);
        }
      }
    }
  };
  const first = d.buses.find((b) => b.id === sourceBusId);
  if (first) {
    spread(root(first));
  }
  for (const bus of d.buses) {
    if (!placed.has(bus.id)) {
      spread(root(bus));
    }
  }
  return { roots, used };
}
