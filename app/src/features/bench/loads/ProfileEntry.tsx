import { useState } from "react";
import type { Outcome } from "../../../components/draft";
import { n } from "../../../lib/format";
import { CsvSheet } from "./CsvSheet";
import type { Mechanical } from "./kinds";

type Points = Extract<Mechanical, { kind: "profile" }>["points"];

/** A profile over time, read from CSV. */
export function ProfileEntry({
  points,
  onChange,
}: {
  readonly points: Points;
  readonly onChange: (points: Points) => Promise<Outcome>;
}) {
  const [reading, setReading] = useState(false);
  const last = points[points.length - 1];
  return (
    <section aria-label="Profile">
      <p className="flex items-center justify-between py-1">
        <span className="text-soft">
          {last ? `${points.length} points over ${n(last.timeS)} s, closed to a cycle` : "No points yet."}
        </span>
        <button type="button" className="button" onClick={() => setReading(true)}>
          From CSV …
        </button>
      </p>
      {reading && (
        <CsvSheet
          title="Speed and torque over time from CSV"
          columns={[
            { key: "time", name: "time, s" },
            { key: "speed", name: "speed, rpm" },
            { key: "torque", name: "torque, Nm" },
          ]}
          onClose={() => setReading(false)}
          onTake={(rows) =>
            onChange(
              rows.map((r) => ({ timeS: r["time"] ?? 0, speedRpm: r["speed"] ?? 0, torqueNm: r["torque"] ?? 0 })),
            )
          }
        />
      )}
    </section>
  );
}
