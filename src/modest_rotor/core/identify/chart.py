"""Reading a chart of amps and volts for airflow, and a blower's table of static pressure and flow."""

from __future__ import annotations

from bisect import bisect_left
from collections.abc import Iterator
from dataclasses import dataclass

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import Number, joined, say

SCHOOLS_DIFFER = 0.03
"""Share by which nearest column and interpolation must differ for both to be shown. Our judgement, no source."""
LEAST = 2


@dataclass(frozen=True)
class Column:
    """One column of a chart: what is read, along its rows; rows without a cell are left out.

    :param key: volts of the column. :param rows: flow, m³/s, rising. :param cells: amps.
    """

    key: float
    rows: tuple[float, ...]
    cells: tuple[float, ...]

    @property
    def rises(self) -> bool:
        """Whether amps rise with flow all along, as on a forward-curved wheel."""
        return all(after > before for before, after in zip(self.cells, self.cells[1:], strict=False))

    @property
    def falls(self) -> bool:
        """Whether they fall all along, as on an axial wheel."""
        return all(after < before for before, after in zip(self.cells, self.cells[1:], strict=False))

    def flows_at(self, amps: float) -> tuple[float, ...]:
        """Every flow at which the column shows these amps; none outside it.

        :param amps: A. :returns: m³/s. Source: the maker's chart, straight between its rows.
        """
        return tuple(dict.fromkeys(self._crossings(amps)))

    def amps_at(self, flow: float) -> float:
        """Amps at a flow, straight between the rows. :raises OutsideValidity: outside the rows.

        :param flow: m³/s. :returns: A. Source: the maker's chart.
        """
        if not self.rows[0] <= flow <= self.rows[-1]:
            raise OutsideValidity(say("chart-amps-at"))
        upper = max(1, min(bisect_left(self.rows, flow), len(self.rows) - 1))
        return _between(self.rows[upper - 1], self.rows[upper], self.cells[upper - 1], self.cells[upper], flow)

    def _crossings(self, amps: float) -> Iterator[float]:
        for place in range(len(self.cells) - 1):
            low, high = sorted((self.cells[place], self.cells[place + 1]))
            if low <= amps <= high and low < high:
                rows, cells = self.rows, self.cells
                yield _between(cells[place], cells[place + 1], rows[place], rows[place + 1], amps)


@dataclass(frozen=True)
class ChartReading:
    """Flow from amps and volts in both schools, m³/s.

    :param nearest: by the nearest column. :param between: between the two columns round the volts.
    """

    nearest: float
    nearest_volts: float
    between: float
    columns: tuple[float, float]

    @property
    def schools_differ(self) -> bool:
        """Whether the two differ by more than 3 %."""
        return abs(self.nearest / self.between - 1) > SCHOOLS_DIFFER


@dataclass(frozen=True)
class AmpsChart:
    """Columns of volts, rising; rows of flow; amps in the cells."""

    columns: tuple[Column, ...]

    def flow(self, volts: float, amps: float) -> ChartReading:
        """Airflow at volts and amps.

        :param volts: at the motor, V. :param amps: of the line, A.
        :raises OutsideValidity: outside the chart, with how far; or two flows show the same amps.

        Between columns the flow is interpolated straight in volts. Validity: the machine, tap and air density for which the
        chart was made. Source: common practice, no source.
        """
        low, high, share = self._around(volts)
        nearest = low if share <= 1 / 2 else high
        # On a column itself the other one is not asked: it may not reach these amps.
        one = self._flow_in(low if share < 1 else high, amps)
        other = self._flow_in(high if share > 0 else low, amps)
        between = one + share * (other - one)
        return ChartReading(self._flow_in(nearest, amps), nearest.key, between, (low.key, high.key))

    def amps(self, volts: float, flow: float) -> float:
        """Amps that the clamp reads at volts when a flow is reached, A.

        :raises OutsideValidity: outside the chart. Validity and source as :meth:`flow`.
        """
        low, high, share = self._around(volts)
        one = (low if share < 1 else high).amps_at(flow)
        other = (high if share > 0 else low).amps_at(flow)
        return one + share * (other - one)

    def _around(self, volts: float) -> tuple[Column, Column, float]:
        keys = [column.key for column in self.columns]
        if not keys[0] <= volts <= keys[-1]:
            off = keys[0] - volts if volts < keys[0] else volts - keys[-1]
            raise OutsideValidity(
                say(
                    "chart-around",
                    volts=Number(volts, "g"),
                    off=Number(off, "g"),
                    keys=Number(keys[0], "g"),
                    keys_2=Number(keys[-1], "g"),
                )
            )
        upper = min(max(bisect_left(keys, volts), 1), len(keys) - 1) if len(keys) > 1 else 0
        lower = max(upper - 1, 0)
        width = keys[upper] - keys[lower]
        return self.columns[lower], self.columns[upper], (volts - keys[lower]) / width if width else 0.0

    def _flow_in(self, column: Column, amps: float) -> float:
        found = column.flows_at(amps)
        if len(found) > 1:
            raise OutsideValidity(
                say("chart-flow-in-v-column", key=Number(column.key, "g"), amps=Number(amps, "g"), found=len(found))
            )
        if not found:
            low, high = min(column.cells), max(column.cells)
            off = low - amps if amps < low else amps - high
            raise OutsideValidity(
                say(
                    "chart-flow-in-lies-outside",
                    amps=Number(amps, "g"),
                    off=Number(off, ".2f"),
                    key=Number(column.key, "g"),
                    low=Number(low, "g"),
                    high=Number(high, "g"),
                )
            )
        return found[0]


@dataclass(frozen=True)
class BlowerTable:
    """A maker's table: external static pressure down, taps across, flow in the cells.

    :param tap: the tap's name. :param statics: Pa, rising. :param flows: m³/s.
    """

    columns: tuple[tuple[str, tuple[float, ...], tuple[float, ...]], ...]

    def flow(self, tap: str, static: float) -> float:
        """Flow on a tap at an external static pressure, Pa, straight between the rows, m³/s.

        :raises OutsideValidity: no such tap, or outside its rows, with how far.

        Validity: the machine and the parts counted as external to it for which the table was made. Source: the maker's table.
        """
        found = [column for column in self.columns if column[0].lower() == tap.lower()]
        if not found:
            raise OutsideValidity(
                say("chart-flow-table-tap", tap=tap, value=joined(", ", (name for name, _, _ in self.columns)))
            )
        _, statics, flows = found[0]
        if not statics[0] <= static <= statics[-1]:
            off = statics[0] - static if static < statics[0] else static - statics[-1]
            raise OutsideValidity(
                say(
                    "chart-flow-lies-outside",
                    in_both_units=in_both_units(static, "pressure"),
                    in_both_units_2=in_both_units(off, "pressure"),
                    in_both_units_3=in_both_units(statics[0], "pressure"),
                    in_both_units_4=in_both_units(statics[-1], "pressure"),
                )
            )
        upper = max(1, min(bisect_left(statics, static), len(statics) - 1))
        return _between(statics[upper - 1], statics[upper], flows[upper - 1], flows[upper], static)


def _between(x0: float, x1: float, y0: float, y1: float, x: float) -> float:
    return y0 + (x - x0) / (x1 - x0) * (y1 - y0) if x1 != x0 else y0
