/**
 * A station with ten sights, one of them to a mark that moved, on a site with many listed marks: for the benchmarks.
 */
import { uniform, type ResectionInput } from '@idle-marker/core';

export function judgedStation(listed: number): ResectionInput {
  let state = 5;
  const between = (low: number, high: number): number => {
    const draw = uniform(state);
    state = draw.state;
    return low + (high - low) * draw.value;
  };
  const points = Array.from({ length: listed }, (_, i) => {
    const azimuth = i * 0.63;
    const distance = i < 10 ? between(30, 130) : between(20, 300);
    return {
      name: `K${i}`,
      e: distance * Math.sin(azimuth),
      n: distance * Math.cos(azimuth),
      z: between(-3, 3),
      sdPlan: 0.002,
      sdHeight: 0.002,
    };
  });
  const observations = points.slice(0, 10).map((point, i) => {
    const e = point.e + between(-0.003, 0.003) + (i === 3 ? 0.03 : 0);
    const n = point.n + between(-0.003, 0.003);
    const level = Math.hypot(e, n);
    const rise = point.z + between(-0.003, 0.003) + 1.5 - 1.6;
    return {
      point: point.name,
      face: 1 as const,
      circle: Math.atan2(e, n) + 7,
      zenith: Math.atan2(level, rise),
      slope: Math.hypot(level, rise),
      targetHeight: 1.5,
      targetHeightSd: 0.001,
      targetCentringSd: 0.001,
      usePlan: true,
      useHeight: true,
    };
  });
  return {
    instrument: { angleSd: 1e-5, distanceSd: 0.0015, distanceSdRatio: 2e-6 },
    setup: { instrumentHeight: 1.6, instrumentHeightSd: 0.001 },
    reduction: {
      combinedScaleFactor: 1,
      refraction: 0.13,
      earthRadius: 6_371_000,
      prismConstant: 0,
      atmosphericRatio: 0,
    },
    freeScale: false,
    points,
    observations,
  };
}
