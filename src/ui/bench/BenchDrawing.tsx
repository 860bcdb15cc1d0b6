import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { COLOUR } from "../theme/tokens";
import type { Drawing } from "./calculator";

/** Space around what is drawn, for its measures, mm. */
const AROUND = 26;

/** Pieces on a sheet, tray or tier from above, to scale, with its measures. */
export function BenchDrawing({
  drawing: { title, isRound, widthMm: w, lengthMm: l, arePiecesRound, spots },
}: {
  drawing: Drawing;
}) {
  return (
    <Box>
      <Typography variant="h3" component="h2">
        {title}
      </Typography>
      <Box
        component="svg"
        role="img"
        aria-label={`${spots.length} pieces on ${isRound ? `${w} mm across` : `${w} by ${l} mm`}`}
        viewBox={`${-AROUND} ${-4} ${w + 2 * AROUND} ${l + AROUND + 8}`}
        sx={{ width: "100%", maxHeight: 380, display: "block" }}
      >
        {isRound ? (
          <circle cx={w / 2} cy={w / 2} r={w / 2} fill={COLOUR.tideMist} stroke={COLOUR.tide} strokeWidth={2} />
        ) : (
          <rect width={w} height={l} rx={4} fill={COLOUR.tideMist} stroke={COLOUR.tide} strokeWidth={2} />
        )}
        {spots.map((spot, k) =>
          arePiecesRound ? (
            <circle key={k} cx={spot.x} cy={spot.y} r={spot.w / 2} fill="#f3e3c3" stroke="#8a5a14" strokeWidth={1.2} />
          ) : (
            <rect
              key={k}
              x={spot.x - spot.w / 2}
              y={spot.y - spot.h / 2}
              width={spot.w}
              height={spot.h}
              rx={Math.min(spot.w, spot.h) / 5}
              fill="#f3e3c3"
              stroke="#8a5a14"
              strokeWidth={1.2}
            />
          ),
        )}
        <text x={w / 2} y={l + 20} textAnchor="middle" fontSize={14} fill={COLOUR.soft}>
          {w} mm
        </text>
        {!isRound && (
          <text x={-8} y={l / 2} textAnchor="middle" fontSize={14} fill={COLOUR.soft} transform={`rotate(-90 -8 ${l / 2})`}>
            {l} mm
          </text>
        )}
      </Box>
    </Box>
  );
}
