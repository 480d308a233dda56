
## core/bench/course.py

course-several = several at once
course-experiment-called = There is no experiment called “{ $code_ }”.

## core/bench/hunt.py

hunt-levels-one-fault = one fault, and it shows
hunt-levels-one-fault-meter = one fault, or a meter that is off
hunt-levels-two-faults = two faults at once
hunt-hiding-wheel-off = wheel off its shaft
hunt-hiding-run-capacitor = run capacitor open
hunt-hiding-valve-closed = valve closed
hunt-hiding-pump-runs = pump runs dry
hunt-hiding-wheel-turns = wheel turns backwards
hunt-complaint-seems-do = It seems to do what it did, but the meter in the cellar runs differently.
hunt-complaint-somebody-says = Somebody says that the last readings look odd.
hunt-fan-said-next-nothing = Next to nothing comes out.
hunt-fan-said-blows-weaker = It blows weaker than it did.
hunt-fan-said-draughty-since = It is draughty since last week, and louder.
hunt-pump-said-far-rooms = The far rooms stay cold: hardly any water moves.
hunt-pump-said-last-rooms = The last rooms on the line are not quite warm.
hunt-pump-said-pipes-hiss = The pipes hiss since last week.
hunt-level-of = A hunt has a number from 0 to { $most }.

## core/bench/hunting.py

hunting-reading-act = read { $measurand }
hunting-live = Live work: only by those qualified, right meter and gloves; hands clear of the wheel.
hunting-isolate = Isolate, lock out, prove dead
hunting-discharge = Discharge the capacitor, prove it
hunting-ask = Ask the ranking of causes
hunting-cautions-there-may = There may be a second source; prove the meter before and after.
hunting-cautions-through-resistor = Through a resistor, never a screwdriver; prove it with a meter.
hunting-cautions-ranks-what = It ranks by what was read and seen so far; it does not prove.
hunting-unknown = no cause that fits
hunting-wrong-steps-replace-motor = replace the motor
hunting-wrong-steps-fit-larger = fit a larger motor
hunting-wrong-steps-turn-protection = turn the protection up until it holds
hunting-after-there-act = There is no act called “{ $act }” here.
hunting-after-before = “{ $act }” before “{ $missing }”: { $caution_of }
hunting-after-minutes-customer = { $minutes } minutes of { $budget }: the customer has sent you home.
hunting-name-name-nothing = Name { $one_cause }; nothing was decided.
hunting-name-one-cause = one cause
hunting-name-one-two = one or two causes
hunting-name-cause-machine = “{ $strange }” is no cause that this machine can have.
hunting-name-say-what = Say what is to be done next, from the list; nothing was decided.
hunting-refuse-ended = This hunt has ended: { $ending }.

## core/bench/knobs.py

knobs-loop-hand = in hand
knobs-loop-sensor-sits = Its sensor sits
knobs-loop-unit = at the unit
knobs-loop-two-thirds = two thirds along
knobs-loop-gain = Gain
knobs-loop-integral-time = Integral time
knobs-loop-damping-sensor = Damping of the sensor
knobs-motor-shaft = on its shaft
knobs-motor-off-bare = off: bare shaft
knobs-motor-rubbing = Rubbing
knobs-motor-load-s = of the load’s torque
knobs-motor-capacitor-left = Capacitor left
knobs-motor-label = of its label
knobs-motor-capacitor-label = Capacitor label
knobs-supply-supply-volts = Supply volts
knobs-supply-supply-hertz = Supply hertz
knobs-supply-unbalanced-volts = Unbalanced volts
knobs-command-drive-s = Drive’s hertz
knobs-command-volts-follow = Volts follow hertz
knobs-command-step = in step
knobs-command-fan-law = fan law: fewer
knobs-command-carrier = Carrier
knobs-command-holds = It holds
knobs-command-torque-dial = Torque dial
knobs-command-air-dial = Air dial
knobs-command-signal = Signal
knobs-duct-branches-open = Branches open
knobs-duct-outlets-open = Outlets open
knobs-duct-open = open
knobs-duct-clean = of clean
knobs-duct-more-lift = More lift
knobs-duct-more-held = More held
knobs-duct-built = of built
knobs-duct-air = Air
knobs-duct-of = { $count } of { $running }
knobs-duct-fans-running = Fans running
knobs-year-hours-set = Hours as set
knobs-year-hours-low = Hours at low
knobs-year-low = Low is
knobs-year-set = of set

## core/bench/outlook.py

outlook-says-winding-goes = Its winding goes beyond { $in_both_units }: a real motor trips on its thermal switch, or burns.
outlook-says-winding-goes-beyond = Its winding goes beyond { $in_both_units }: too hot for insulation of class B.
outlook-curves-rpm = { $speed_rpm } rpm

## core/bench/rigs.py

rigs-stand-of-machine = This job has no machine for the Bench yet: { $without_stop }.
rigs-own-motor-job-s = This job’s electronic motor waits for rated power and speed on its plate.
rigs-own-motor-plate-lacks = its plate lacks what a fit begins with
rigs-own-motor-motor-job = The motor of this job could not be fitted: { $why }.
rigs-own-motor-motor-fitted = Its motor is fitted to its plate alone: nothing was read of it running.
rigs-duct-pressure-measured = Its pressure was not measured; the Bench takes a usual one.
rigs-duct-flow-measured = Its flow was not measured; the Bench takes a usual one.
rigs-stand-of-product-motor-can = “{ $product }” is no motor that can stand on the Bench: kind, power or speed is missing.
rigs-stand-of-product-motor-cannot = This motor cannot stand on the Bench: it { $facts }.
rigs-stand-of-product-wheel-takes = A { $machine_type } wheel that takes nine tenths of its rated power was put on it.
rigs-on-a-drive = On the Bench a drive feeds three-phase motors alone.

## core/bench/shipped.py

shipped-these-capacitor-blower = capacitor blower
shipped-these-capacitor-fan = capacitor fan, backward-inclined
shipped-these-capacitor-fan-axial = capacitor fan, axial
shipped-these-three-phase = three-phase fan
shipped-these-three-phase-fan = three-phase fan on a drive
shipped-these-electronic-blower = electronic blower
shipped-these-three-phase-pump = three-phase pump
shipped-these-blower-start = blower with a start switch
shipped-stands-shaded-pole = shaded-pole fan
shipped-stands-two-fans = two fans side by side on drives
shipped-stands-fan-drive = fan on a drive fed by one phase
shipped-stands-circulating-pump = circulating pump on a drive
shipped-stands-lift-pump = lift pump on a drive
shipped-stand-called = There is no stand called “{ $name }”.

## core/bench/stand.py

stand-refuse-volts-lie = Volts lie above zero; hertz, rubbing, filter and unbalance not below.
stand-refuse-damper-stands = A damper stands above shut and up to open, one to { $outlets } outlets are open, and the fixed part lies below the built pressure.
stand-refuse-motor-neither = This motor has neither run capacitor nor speed taps.
stand-refuse-year-hours = A year has { $hours_of_a_year } hours.
stand-refuse-hours-low = Hours at low need a drive or an electronic motor: this one knows one speed.
stand-refuse-loop-holds = A loop holds its pressure through a drive, with the wheel on its shaft.
stand-refuse-set-point = Set point, gain and integral time of a loop lie above zero.
stand-refuse-unbalanced-volts = Unbalanced volts need a three-phase motor on the line: a drive makes its own three.

## core/bench/waves.py

waves-of = Pulses are made by a drive, and this stand has none.

## core/bench/why.py

why-stands = it stands: the load asks for more torque than the motor makes, and what is drawn is its locked-rotor current
why-turns-again = it stood, and turns again
why-reason = it stays as it was
why-held-torque-held = torque held
why-held-air-held = air held
knobs-torque = torque
knobs-air = air
