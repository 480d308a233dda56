
## core/identify/candidate.py

candidate-candidates-motor-fitted = A motor is fitted from its plate's { $lacking }; { $lacks }.
candidate-candidates-lacks = it lacks
candidate-candidates-they-missing = they are missing
candidate-candidates-slip-rated = slip at rated load
candidate-candidates-extra-turns = extra turns of the { $tap }
candidate-candidates-connection-taps = connection of the taps

## core/identify/chart.py

chart-amps-at = The chart's rows do not reach that flow.
chart-around = { $volts } V lies { $off } V outside the chart, which goes from { $keys } to { $keys_2 } V.
chart-flow-in-v-column = The { $key } V column shows { $amps } A at { $found } flows: the chart has more than one answer here.
chart-flow-in-lies-outside = { $amps } A lies { $off } A outside the { $key } V column, which goes from { $low } to { $high } A.
chart-flow-table-tap = The table has no tap “{ $tap }”; it has { $value }.
chart-flow-lies-outside = { $in_both_units } lies { $in_both_units_2 } outside the tap's rows, which go from { $in_both_units_3 } to { $in_both_units_4 }.

## core/identify/doubt.py

doubt-other-plates-tenth = a tenth of
doubt-other-plates-ten-times = ten times
doubt-other-readings-speed-may = The speed may be misread, or counted on more than one mark.
doubt-other-readings-amps-may = The amps may be read low or high: one conductor alone in the clamp, the right range?
doubt-other-readings-watts-may = The watts may be volts × amps, or read on another circuit.
doubt-other-readings-high-tap = high tap
doubt-other-readings-lower-tap = lower tap

## core/identify/efficiency.py

efficiency-typical-motor = The typical efficiency of a { $kind } motor is known here from { $in_both_units } to { $in_both_units_2 } of rated power.
efficiency-plate-efficiency-bound = The plate's volts and amps make { $apparent } VA, too little for { $in_both_units } at the shaft. Look again at power, volts, amps and phases.

## core/identify/electronic_load.py

electronic-load-reason = True watts less the typical losses of an electronic motor at that speed; amps and slip say nothing of it.
electronic-load-motor-stands = A motor that stands still gives no power; its watts are those of its electronics.
electronic-load-watts-read = the watts read would not cover the losses of an electronic motor at that speed
electronic-load-watts-read-would = the watts read would be { $load } % of the plate's power: look at both again

## core/identify/fit.py


## core/identify/fitted_load.py

fitted-load-reasons-true-watts = True watts times the efficiency that the fitted motor has at this speed and voltage.
fitted-load-reasons-fitted-motor = The fitted motor at this speed, voltage and temperature; needs no contact with the line.
fitted-load-reasons-volts-amps = Volts × amps times the fitted motor's power factor and efficiency at this speed.
fitted-load-reasons-motor-agrees = The motor that agrees best with the plate and every reading, each weighed by how well it is known.
fitted-load-naive = Shown for comparison, never relied on:{" "}
fitted-load-method-withheld-fitted = withheld: the fitted motor gives nothing at this point

## core/identify/flow.py

flow-locate = To find where a machine runs, a shaft power or a static pressure is needed.
flow-through-known-point = To find where a machine runs, a shaft power or a static pressure is needed.

## core/identify/load.py

identify-load-load-by-slip-withheld-off = withheld: off the high tap slip does not follow load (it would read about twice the truth)
identify-load-load-by-slip-holds-only = {" "}Holds only if this is the high tap: no tap was noted.
identify-load-load-by-slip-volts-read = {" "}Volts were not read, so it is not corrected for them.
identify-load-load-by-slip-needs-contact = Needs no contact with the line, but leans on the plate's rounded speed and on a warm motor.{ $volts }{ $said }
identify-load-load-by-amps-withheld-full = withheld: full-load amps belong to the high tap
identify-load-load-by-amps-near-rated = Near rated load the amps follow the load.
identify-load-load-by-amps-doubted-below = Doubted: below rated load, amps hardly fall with load; an unloaded motor may take most of them.
identify-load-load-by-watts-withheld-watts = withheld: the watts read would not cover the losses of a typical motor of this plate
identify-load-load-by-watts-true-wattmeter = A true wattmeter sees losses and load together; only the efficiency is not measured.
identify-load-load-by-watts-off-high = Off the high tap the plate's losses do not hold, so the uncertainty is large.
identify-load-load-by-watts-load-losses = {" "}At this load losses are much of the watts, and they scatter, so the uncertainty is large.
identify-load-by-formula-withheld-formula = withheld: the formula gives { $load } % of rated, which no motor carries; plate and readings do not belong together
identify-load-guarded = withheld: { $refusal }

## core/identify/next_reading.py

next-reading-worth = the next reading, { $measurand }

## core/identify/perturb.py

perturb-unbalanced = Unbalanced line volts need a three-phase motor.
perturb-with-supply-changed-electronic-motor = An electronic motor has no part for “{ $change }”: neither run capacitor nor taps of a winding.
perturb-with-supply-changed-needs-motor = “{ $change }” needs a motor with a run capacitor and taps; this one has neither.

## core/identify/poles.py

poles-possible-poles-pole-count = A pole count needs a speed above zero.
poles-possible-poles-rpm-below = { $speed_rpm } rpm is not below { $top } rpm, the highest synchronous speed at { $frequency_hz } Hz: electronics, other hertz, or a tachometer that counted twice.
poles-possible-poles-pole-count-explains = No pole count explains { $speed_rpm } rpm at { $frequency_hz } Hz with so little load.

## core/identify/rows.py

rows-shared-warmth-winding = warmth of the winding
rows-residuals-speed = speed, { $reading }
rows-residuals-before = before: { $label }
rows-plate-rows-typical-efficiency = typical efficiency
rows-plate-rows-printed-power = printed power factor
rows-plate-rows-usual-pull = usual pull-out torque
rows-plate-rows-usual-unloaded = usual unloaded amps
rows-plate-rows-usual-locked = usual locked-rotor amps
rows-plate-rows-capacitor-volts = capacitor volts
rows-reading-rows-amps = amps, { $reading }
rows-reading-rows-watts = watts, { $reading }
rows-reading-rows-capacitor-volts = capacitor volts, { $reading }
rows-reading-rows-known-shaft = known shaft power, { $reading }

## core/identify/windings.py

identify-windings-read-windings = A resistance is not below zero; { $ohms } Ω was given.
identify-windings-order-of-speeds-speed-lead = A speed lead reads open to common: it is another winding's, or broken.
identify-windings-order-of-speeds-same-within = { $ohms } Ω and { $ohms_2 } Ω are the same within the meter's error: these two cannot be put in order.
fitted-load-doubted = { $naive }{ $reason }

## core/identify/doubt.py

doubt-other-plates-amps-read = The amps read { $words } what such a motor takes.
doubt-other-plates-amps-do = The amps do not belong to this power and voltage.
doubt-other-plates-power-reads = The power reads { $words } what these amps and volts make.
doubt-other-plates-v-motor = As a { $volts } V motor the plate would be ordinary.
doubt-other-plates-capacitor-s = The capacitor's value is off by ten: look at its decimal point.
doubt-other-plates-capacitor-does = The capacitor does not belong to this motor.
doubt-other-readings-tap = { $reading }/tap
doubt-other-readings-may-run = It may have run on the { $words }.
doubt-other-readings-run-capacitor = The run capacitor may be weak: measure it out of circuit.
doubt-double = double
doubt-half = half
