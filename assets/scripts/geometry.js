/** Shapes as the page moves them; what the core says of a lay when it is dropped is what counts. Millimetres. */

const TURNS = { 0: [1, 0], 90: [0, 1], 180: [-1, 0], 270: [0, -1] };

export function turned(points, flipped, turn) {
    const [cos, sin] = TURNS[turn] ?? [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    return points.map(([x, y]) => {
        const v = flipped ? -y : y;
        return [x * cos - v * sin, x * sin + v * cos];
    });
}

export function moved(points, x, y) {
    return points.map(([px, py]) => [px + x, py + y]);
}

export function boxOf(points) {
    const xs = points.map((p) => p[0]);
    const ys = points.map((p) => p[1]);
    return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
}

function extent(part, nx, ny) {
    let low = Infinity;
    let high = -Infinity;
    part.forEach(([x, y]) => {
        const reach = x * nx + y * ny;
        low = Math.min(low, reach);
        high = Math.max(high, reach);
    });
    return [low, high];
}

/** By how much two convex parts overlap. */
function depth(a, b) {
    let least = Infinity;
    for (const part of [a, b]) {
        for (let i = 0; i < part.length; i += 1) {
            const p = part[i];
            const q = part[(i + 1) % part.length];
            const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
            if (long < 1e-9) {
                continue;
            }
            const [nx, ny] = [(q[1] - p[1]) / long, (p[0] - q[0]) / long];
            const [aLow, aHigh] = extent(a, nx, ny);
            const [bLow, bHigh] = extent(b, nx, ny);
            least = Math.min(least, aHigh - bLow, bHigh - aLow);
            if (least <= 0) {
                return 0;
            }
        }
    }
    return least;
}

/** Whether two bodies, each a box and its convex parts, overlap by more than half a millimetre. */
export function overlap(a, b) {
    if (a.box.right <= b.box.left || b.box.right <= a.box.left || a.box.bottom <= b.box.top || b.box.bottom <= a.box.top) {
        return false;
    }
    return a.parts.some((p) => b.parts.some((q) => depth(p, q) > 0.5));
}
