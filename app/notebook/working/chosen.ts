import type { Plotted, PlottedSeries } from '@core/notebook/graph-values';

/** A point of a graph that was chosen. */
export interface Chosen {
  series: PlottedSeries;
  point: Plotted;
}
