
## core/physics/curve.py

curve-through-points-curve = The { $what } has { $x } points; a curve needs at least { $fewest_points }.
curve-through-holds-something = The { $what } holds something that is no number. Look through its rows.
curve-through-does-go = The { $what } does not go upward in its row { $row }: each row must lie beyond the one before it.

## core/physics/drive.py

physics-drive-derated-for-single-phase = This drive is made for a single-phase supply: its rating holds as it is.

## core/physics/fan.py

fan-machine-from-table-machine-s = The machine's table has { $flow } rows; at least { $fewest_rows } are needed, or else one point and the kind of wheel.
fan-machine-from-table-machine-s-table = The machine's table holds a shaft power that is not above zero, or a pressure or flow below it.
fan-machine-from-table-machine-s-table-gives = The machine's table gives more air or water power than shaft power at { $in_both_units } (efficiency { $efficiency } %). One of its columns is in another unit.
fan-machine-from-table-machine-s-table-pressure = machine's table of pressure
fan-machine-from-table-machine-s-table-shaft = machine's table of shaft power
fan-machine-through-points-shape-fitted = A shape is fitted to two points or more with flow, pressure and shaft power above zero.
fan-machine-through-points-curve-passes = No { $machine_type } curve passes near these points. Look again at the flows.
fan-flow-for-pressure-machine-makes = The machine makes { $in_both_units } at no flow of its curve; its highest is { $in_both_units_2 }.
fan-flow-for-pressure-curve-two = The curve has { $in_both_units } at two flows, { $ends }: pressure alone does not tell which. Power, or a second reading at another damper, does.
fan-shaft-power-from-air-w = The efficiency of a fan or pump must be above zero.

## core/physics/induction.py

induction-synchronous-speed-rpm-motor-even = A motor has an even number of poles, two or more; { $poles } was given.
induction-synchronous-speed-rpm-supply-frequency = The supply frequency must be above 0 Hz; { $frequency_hz } Hz was given.
induction-poles-from-rated-speed-rpm-above = { $speed_rpm } rpm is above { $top } rpm, the highest synchronous speed at { $frequency_hz } Hz.
induction-poles-from-rated-speed-ordinary-pole = No ordinary pole count fits { $speed_rpm } rpm at { $frequency_hz } Hz; the slip would be { $gap } %.
induction-poles-from-rated-speed-rpm-synchronous = { $speed_rpm } rpm is a synchronous speed at { $frequency_hz } Hz; an induction motor at rated load turns below it. A magnet or reluctance motor on a drive turns just so: say electronic as its kind.
induction-running-slip-two-poles = two poles,{" "}
induction-running-slip-rpm-above = { $speed_rpm } rpm is above the synchronous { $synchronous } rpm of { $get } poles at { $frequency_hz } Hz: { $others }another frequency, a wheel driven by the wind, or a tachometer counting two marks.
induction-torque-nm = Torque from power needs a turning shaft; the speed given is zero.

## core/physics/loop.py

physics-loop-process-of-lags = A process has at least one lag above zero.
physics-loop-process-of-step-command-did = The command did not move: a step has two of them.
physics-loop-process-of-step-nothing-moved = Nothing moved: look at sensor, range and wiring before any gain is set.
physics-loop-process-of-step-begins-move = It begins to move before it has gone two thirds of its way.
physics-loop-times-of-step-step-read = A step is read from ten values or more.
physics-loop-times-of-step-nothing-moved = Nothing moved that stands out of its noise: take a larger step, or look at the sensor.
physics-loop-first-gains = The value does not follow the command: no gain holds it.

## core/physics/medium.py

medium-standard-pressure-pa = { $in_both_units } lies outside the standard atmosphere's { $in_both_units_2 } to { $in_both_units_3 }.
medium-refuse-temperature = { $in_both_units } lies outside { $in_both_units_2 } to { $in_both_units_3 } for air in a duct.

## core/physics/operating_point.py

operating-point-words-turns-but = turns, but moves nothing: dead-headed
operating-point-words-outside-machine = outside the machine's curve
operating-point-words-motor-s = at the motor's limit, short of what is asked
operating-point-words-two-stable = two stable speeds: from rest it may stay at the slow one
operating-point-words-runs-once = runs once turning, but will not start by itself
operating-point-words-cannot-hold = cannot hold this speed
operating-point-words-stalls-stable = stalls: no stable speed

## core/physics/power.py

power-apparent-power-va = A motor has one phase or three, not { $phases }.
power-factor = { $input_power_w } W from { $apparent } VA: no load takes more watts than volts × amps. Usually the clamp held more than one conductor, the range was wrong, or the phases are.
power-capacitance-from-running-f = A capacitor at { $voltage_v } V and { $frequency_hz } Hz tells nothing: both lie above zero.
power-capacitors-together-f = A capacitor of 0 µF is open: it adds nothing side by side and passes nothing in line.

## core/physics/pulse_width.py

pulse-width-post-init = Pulses need volts on the link, a carrier faster than the output, and a modulation from 0 to { $full }; beyond it the wave is clipped and these equations do not hold.
pulse-width-harmonics = A winding has a resistance and an inductance above zero.
pulse-width-rectified = A rectifier has volts, hertz, power, a capacitor and an inductance, all above zero.

## core/physics/supply.py

physics-supply-refuse-dead = The supply has { $volts } V at { $hertz } Hz; a motor needs both above zero. No volts at a motor that runs is usually a meter on the wrong lead, or one that was read after switching off.

## core/physics/system.py

system-through-system-curve = A system curve needs a measured flow above zero.
system-through-pressure-stays = The pressure that stays at no flow, { $in_both_units }, is not below the { $in_both_units_2 } measured while running.
system-fit-system-tell-system = To tell a system's fixed part, two readings are needed whose flows differ by 5 % or more; with one, say the fixed part and draw the curve through the reading.
system-fit-system-system-s = A system's flows lie above zero, and its exponent is { $least_exponent } or more; n = { $exponent }.
system-fit-system-pressure-falls = The pressure falls as the flow grows: these readings belong to different settings of damper, valve or filter, not to one system.

## core/physics/three_phase.py

three-phase-solve-three-phase = A motor that drives a load turns below synchronous speed: slip above 0 % and below 200 %.
three-phase-unbalanced-heating = An unbalance and a ratio of amps lie above zero.

## core/physics/traverse.py

traverse-velocity-ms = A velocity pressure is total less static and lies at or above zero, and a density above it: look at hoses and signs.
traverse-flow-m3s = A traverse needs at least one point and a section above zero.
traverse-places-along-side-traverse-needs = A traverse needs at least one point along a side.
traverse-places-along-side-log-tchebycheff = The log-Tchebycheff rule has 5, 6 or 7 points along a side, not { $points }.
traverse-places-along-diameter = A diameter carries an even number of points; by the log rule 6, 8 or 10.

## core/physics/two_axis.py

two-axis-auxiliary-capacitor = on the line through the run capacitor
two-axis-auxiliary-switched-off = off, its start switch open
two-axis-auxiliary-shorted = shorted: shading rings
two-axis-refuse-slip-asked = A slip of { $low } % was asked; a motor that drives a load turns below synchronous speed (slip above 0 %) and not faster than that backward (below 200 %).
two-axis-refuse-run-capacitor = A run capacitor of 0 µF is open: no current flows in the auxiliary winding, and the motor does not start. Read its label again, or solve it with that winding switched off.
two-axis-refuse-synchronous-speed = At { $high } % of synchronous speed the start switch is closed (it opens near { $switch_speed_share } %), and the start winding is not in this model: ask above the switch speed.
