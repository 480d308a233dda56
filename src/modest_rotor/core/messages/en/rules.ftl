
## core/rules/air.py

air-what-to-do-switch-off = Switch it off now: a stalled motor burns its winding. Isolate, lock out, prove dead, then turn the wheel by hand.
air-what-to-do-if-should = If it should run: follow the checks for a dead motor, supply and thermal switch first. Else read the set again while it runs.
air-what-to-do-brake-wheel = Brake the wheel before power is put on it: find out what drives it, a second fan or wind, and stop that first.
air-what-to-do-read-volts = Read volts and amps as well: with current it is stalled and must be switched off, without it is off.
air-reading-withheld = Read it at the motor's own terminals, with a meter made for the waveform.
air-static-over-rating-blower-works = In { $set } the blower works against { $pressure }; it is rated for { $pressure_2 }.
air-static-over-rating-repair-first = Repair first: filter, coil, closed registers, then the duct. A stronger motor in a tight duct is noise and heat.
air-per-ton-cooling-gets = In { $set } the cooling gets too little air: { $per }.
air-per-ton-coil-may = A coil may freeze, limits may trip. Repair first: filter, coil, registers, then its speed setting.
air-per-ton-cooling-gets-too = In { $set } the cooling gets too much air: { $per }.
air-per-ton-water-may = Water may be carried off the coil, and rooms stay damp. Take a lower speed setting, or close the plate.
air-flow-under-target-machine-moves = In { $set } the machine moves { $flow }; wanted are { $model_copy }.
air-flow-under-target-causes = Look for what holds it back; a set from when it was right ranks the causes.
air-flow-under-target-follow-way = Follow the checks above: open the duct at the unit and read the amps again.
air-rise-outside-plate-above = above
air-rise-outside-plate-below = below
air-rise-outside-plate-too-little = too little air: limits will trip and the heat exchanger is strained
air-rise-outside-plate-too-much = too much air: flue gas may condense and rooms feel cold
air-rise-outside-plate-temperature-rise = In { $set } the temperature rise, { $temperature_difference }, is { $word } the appliance's plate.
air-rise-outside-plate-correct-air = That is { $why }. Correct the air; by those licensed for the appliance.
air-readings-contradict = Take both again; all readings are kept.

## core/rules/book.py

rules-book-repair-first-repair-first = Repair first: { $named }. The machine as found is not the repaired machine.
rules-book-repair-first-settle-findings = Settle it on Findings, read the machine again, and compare then: the options below stand on the machine as found.

## core/rules/capacitor.py

capacitor-replace-first = Repair first: replace the capacitor, same µF, same volts or more, before the motor is judged.
capacitor-off-label-in = {" "}in { $set }
capacitor-off-label-weak = weak
capacitor-off-label-over-label = over its label
capacitor-off-label-run-capacitor = The run capacitor{ $where } is { $probably }{ $word }: { $capacitance }, label { $capacitance_2 } ± { $share } %.
capacitor-off-label-probably = probably{" "}
capacitor-judged-under-load-running-capacitor = Running in { $set } the capacitor works as { $capacitance }, label { $capacitance_2 }.
capacitor-judged-under-load-auxiliary-winding = auxiliary-winding amps { $current }
capacitor-judged-under-load-volts-across = volts across it { $capacitor_voltage }
capacitor-overvolted-capacitor-stands = In { $set } the capacitor stands at { $capacitor_voltage }, more than its { $capacitor_voltage_2 } bear.
capacitor-overvolted-fit-one = Fit one of higher volts and the same µF; it stands highest at light load.
capacitor-shared-run-capacitor = The run capacitor is shared with a compressor: whatever becomes of this motor, that section stays.
capacitor-shared-electronic-motor = An electronic motor needs no capacitor; cap its lead and leave the compressor's section connected.

## core/rules/chain.py

chain-title = Air under what is wanted
chain-hands = Stop the wheel, open the duct, keep hands and sleeves clear, then run it.
chain-live = Live work: only by those qualified.
chain-short-of-air-amps-climbed = The amps climbed: the duct is too small, closed or blocked.
chain-short-of-air-seal-again = Seal it again first; then look for closed outlets, a loaded filter or coil, a crushed duct.
chain-opening-amps = amps { $current } → { $current_2 }
chain-opening-balancing-plate = With the balancing plate wide open, open the duct at the unit and read volts and amps as a set of its own. Do the amps climb?
chain-opening-if-they = If they climb, the duct holds the air back.
chain-motor-side-power-off = Power off, belt or wheel free: does the shaft turn easily by hand, without play?
chain-motor-side-isolate-lock = Isolate, lock out; it can restart as it cools.
chain-motor-side-bearings-drag = Bearings drag: replace the motor.
chain-motor-side-duct-capacitor = Duct, capacitor, volts and bearings
chain-motor-side-duct-volts = Duct, volts and bearings
chain-motor-side-tap-chart = the tap that the chart is for
chain-motor-side-setting-chart = the setting that the chart is for
chain-motor-side-good-look = { $named } are good: look at the wheel for dirt and turn, and at { $setting }.
chain-capacitor-out-circuit = Out of circuit, does the run capacitor read its label?
chain-capacitor-isolate-discharge = Isolate; discharge it through a resistor and prove it; both leads off.
chain-capacitor-capacitor-weak = The capacitor is weak: replace it first, same µF, same volts or more.
chain-volts-running-volts = Running, are the volts at the motor those of its plate?
chain-volts-volts-low = The volts are low: supply, wiring or a contact.

## core/rules/dead.py

dead-title = Dead, or not starting
dead-all-good-supply-shaft = Supply, shaft, capacitor and windings are good: look at its leads and plugs, then replace the motor.
dead-all-good-supply-shaft-capacitors = Supply, shaft, capacitors, switch and windings are good: look at its leads, then replace the motor.
dead-all-good-supply-shaft-insulation = Supply, shaft and insulation are good: replace the motor.
dead-all-good-lines-shaft = Lines, shaft and windings are good: the motor is good. Look at its control, contactor and drive.
dead-all-good-motor-good = The motor is good: three equal windings, sound insulation, a free shaft, with supply and command present.
dead-module-replace-module = {" "}Replace the module, which is a separate part: same part number, taught for this machine.
dead-module-module-one = {" "}Its module is one piece with it: replace the whole.
dead-way = Say the kind of motor on Plate, or find it there by its parts: the checks depend on it.
dead-walk = {" "}{ $told }
dead-capacitor-label-hold = { $told }, no label to hold it against
dead-capacitor-against = { $told } against { $capacitance }

## core/rules/evidence.py

evidence-above-synchronous = Check hertz at the motor, tachometer marks, windmilling and the pole count.
evidence-told = Amps are over the plate in { $set }: { $current } against { $rated_current }{ $beside }
evidence-by-service-factor-service-factor = . It has no service factor to spend.
evidence-by-service-factor-motor-heats = The motor heats beyond its plate. Find the reason before leaving it so.
evidence-by-service-factor-below-service = , and below the service factor's { $allowed }.
evidence-by-service-factor-may-run = It may run so at plate volts and ambient, hotter and for a shorter life. Find the reason; it is no allowance to live on.
evidence-by-service-factor-above-service = , and above the service factor's { $allowed } as well, by less than the clamp can tell.
evidence-by-service-factor-take-above = Take it as above both: read the amps again with another clamp, and find the reason before it runs on.
evidence-by-service-factor-above-service-factor = , and above the service factor's { $allowed } as well.
evidence-by-service-factor-plate-allows = No plate allows this. Stop it, and find the reason before it runs again.
evidence-volts-off-plate-volts-outside = Volts in { $set }, { $voltage }, are outside a tenth of the plate's.
evidence-volts-off-plate-check-supply = Check supply, connection and which voltage the motor is wired for.
evidence-watts-over-volt-amperes-watts-read = In { $set } the watts read are more than volts × amps can carry.
evidence-watts-over-volt-amperes-look-again = Look again at the clamp (one conductor alone), the meter's range and the phases on the plate. All readings are kept.
evidence-cannot-be-so = { $action } All readings are kept; no saving is counted on them.
evidence-methods-disagree-load-does = In { $set } the load { $chosen } does not agree with the load { $others }.
evidence-methods-disagree-uncertainty-widened = The uncertainty is widened. Likely suspects: { $usual_suspects }.
evidence-plate-denies-itself-plate-prints = The plate prints an efficiency of { $typed }, which no motor has; nothing is worked out with it.
evidence-plate-denies-itself-what-typed = What was typed is kept. Look at the plate again.
evidence-plate-facts-disagree-prints = , not the { $expected } % that it prints
evidence-plate-facts-disagree-plate-s = The plate's volts, amps and power factor make { $watts } W, and its power then an efficiency of { $told }.
evidence-plate-facts-disagree-look-again = Look again at power factor, efficiency, amps and the connection they belong to. What was typed is kept.
evidence-power-may-be-input-plate-s = The plate's power is { $apparent } % of volts × amps: more than a shaft gives, and what a whole fan or pump takes.
evidence-power-may-be-input-say-plate = Say on Plate whether the power is at the shaft or from the line.
evidence-assumed-no-lift-pump-s = The pump's static lift is assumed to be none. With lift, slowing it saves far less, and below some speed it moves no water.
evidence-assumed-no-lift-type-static = Type the static lift on Duty.
evidence-dead-motor-motor-dead = The motor is dead: no running readings are needed. The baseline is what its plate and the machine it drove give, with a large uncertainty.
evidence-dead-motor-go-plate = Go on with the plate, then follow the checks on Findings.
evidence-speed-sentence = The speed in { $set }, { $speed }, is at or above synchronous speed, { $speed_2 }. It is kept; slip and load are withheld.

## core/rules/fit.py

rules-fit-plate-is-doubtful-power-volts = Power, volts, amps and speed are each possible; together they are not.
rules-fit-plate-is-doubtful-hardly-any = Hardly any motor is made that would carry this plate.
rules-fit-plate-is-doubtful-look-plate = { $told } Look at the plate again; what was typed is kept, and the uncertainties are widened.
rules-fit-readings-do-not-fit-usually = Usually: { $usual_suspects }.
rules-fit-readings-do-not-fit-motor-plate = The motor of this plate shows readings like these at no load: one of them, or the motor, is not right.
rules-fit-readings-do-not-fit-likeliest-first = Likeliest first: { $told } All readings are kept, and the uncertainties are widened.
rules-fit-below-switch-speed-speed-below = The speed in { $set }, { $speed }, is below three quarters of synchronous speed, where a start switch is still closed.
rules-fit-below-switch-speed-stop-start = Stop it: a start winding left on burns out in seconds. Look for drag, low volts, a welded switch; or the motor is of another kind.
rules-fit-machine-does-not-fit = In { $set } flow and pressure ask for { $shaft_power } at the shaft; the motor gives { $shaft_power_2 }.
rules-fit-where-it-goes-look-both = Look at both gauges and their heights, at the coupling, and at the kind of pump.
rules-fit-where-it-goes-statics-read = Statics read outside miss what cabinet, filter and coil take between them: read across the wheel itself, or say what lies between the static taps. Then look at belt and bearings, and last at the wheel for dirt.
rules-fit-where-it-goes-read-flow = Read the flow once more by another method, then the statics with their signs; look at the plate, and at the kind of wheel typed.

## core/rules/load.py

rules-load-amps-over-service-factor-amps-over = In { $set } the amps, { $current }, are over service-factor amps, { $rated_current }.
rules-load-amps-over-service-factor-stop-plate = Stop it: no plate allows this. Find the reason before it runs again.
rules-load-far-under-load-motor-gives = In { $set } the motor gives only { $load } of its rated power.
rules-load-far-under-load-look-hardest = Look at its hardest hour before a smaller one is thought of; under 40 % efficiency and power factor fall.
rules-load-starts-too-often-starts-hour = { $starts_per_hour } starts an hour on a motor with a start switch: switch and start capacitor wear with each.
rules-load-starts-too-often-widen-control = Widen the control's differential or add a delay; else fit a kind without a switch.
rules-load-regulator-turned-down-regulator-holds = In { $set } a regulator holds the motor at { $slip } slip. It cannot turn more than { $efficiency } of what crosses its air gap into work; the rest heats its rotor.
rules-load-regulator-turned-down-beyond-about = Beyond about 30 % below synchronous it runs hot, lives shorter and may not hold its speed. A motor made to be slowed pays here.
rules-load-overload-does-not-fit-overload-set = The overload is set at { $rated_current }{ $above }{ $rated_current_2 }{ $plate_allows }
rules-load-overload-does-not-fit-above = , above the{" "}
rules-load-overload-does-not-fit-below-plate = , below the plate's{" "}
rules-load-overload-does-not-fit-plate-allows = {" "}that this plate allows: it would not save the motor.
rules-load-overload-does-not-fit-trips-sound = : it trips a sound motor at full load.
rules-load-overload-does-not-fit-set-those = Have it set by those licensed to; amps of a wiring table are not the plate's.
rules-load-shell-too-hot-shell-winding = In { $set } the shell is at { $shell_temperature }; the winding inside is hotter by up to 30 K, and its class ends at { $shell_temperature_2 }.
rules-load-shell-too-hot-look-shut = Look for shut-off air, low or unbalanced volts, bearings; every 10 K too much halves its life.
rules-load-starved-cooled = is cooled by
rules-load-starved-may-cooled = may be cooled by
rules-load-starved-air-shut = In { $set } the air is shut off, and this motor { $sure } the machine's own air.
rules-load-starved-draws-less = {" "}It draws less than its plate and still overheats.
rules-load-starved-low-amps = Low amps are no comfort here: do not leave it running so. Open the air, then read the shell.

## core/rules/parts.py

parts-usual-suspects-wrong-figure = a wrong figure read off the plate
parts-usual-suspects-meter-s = a meter's range
parts-usual-suspects-cold-motor = a cold motor
parts-usual-suspects-another-tap = another tap
parts-usual-suspects-weak-run = a weak run capacitor (measure it)
parts-for-this-kind-start-switch = start switch
parts-for-this-kind-capacitor = no capacitor

## core/rules/protection.py

protection-protected-duty-protected-duty = Protected duty: { $protected }. No flow below { $least } is proposed. Nobody can waive this here.
protection-protected-duty-ask-code = Ask the code authority, and read the appliance's listing, before anything that could lower the flow.
protection-found-below-minimum-flow-found = The flow found, { $figure }, is below the documented least of { $as_typed }.
protection-found-below-minimum-report-before = Report it before going on. Options are worked at the documented least, not at the flow found.
protection-unanswered-nobody-said = Nobody has said yet whether this is a protected duty.
protection-unanswered-answer-call = Answer it on Call before any lower flow is set.
protection-least-found-today = that found today
protection-least-documented = the documented { $as_typed }

## core/rules/safety.py

safety-isolate-before-plate-isolate-lock = Isolate, lock out, tag; prove the meter, prove dead, prove the meter again. There may be a second source, and a motor can restart when its thermal switch cools.
safety-isolate-before-plate-before-reaching = Before reaching for the plate{ $capacitor }.{ $discharge_run }{ $wait_minutes } At height: guard against falls and weather.
safety-isolate-before-plate-capacitor = {" "}or the capacitor
safety-isolate-before-plate-discharge-run = {" "}Discharge the run capacitor through a resistor and prove it.
safety-isolate-before-plate-wait-minutes = {" "}Wait the minutes marked on its electronics, then prove them dead.
safety-two-speeds-two-contactors = Two contactors closed at once burn a motor with two speeds: they are interlocked by hand and by wire. Coming down it brakes hard: let it coast before the lower speed.
safety-two-speeds-each-speed = Each speed has its own overload for its own amps, and its own rotation, proved one after the other. Note a set on the lower speed as its low tap.
safety-live-readings-dead-motor = A dead motor may have lost only one of its supplies, and can start by itself when its thermal switch cools.
safety-live-readings-isolate-lock = Isolate, lock out, prove dead. No running readings are needed; this station can stay empty.
safety-live-readings-live-measurements = Live measurements only by people qualified for them, with the right meter category and gloves. Hands, sleeves and cords clear of the wheel.
safety-live-readings-change-speed = {" "}Change speed taps with the power off: never two energised at once, each unused lead capped by itself, it can stand above line volts.
safety-live-readings-prove-meter = Prove the meter before and after. Volts on one conductor to ground are not the motor's volts on a high-leg system.{ $taps }
safety-electronic-wiring-electronic-motor = An electronic motor stays on its permanent supply and takes its command on low voltage. A voltage selector on the wrong volts destroys it; line volts never go on a 24 V tap; its capacitors stay charged for minutes after power is off; a magnet rotor that windmills makes voltage.
safety-electronic-wiring-secure-wheel = Secure the wheel. Set the selector for the volts measured. Wait the marked time and measure before opening. Local code and the equipment's listing decide whether another kind may be fitted at all.
safety-drive-wiring-drive-feeds = A drive feeds a three-phase motor alone: never a capacitor or shaded-pole motor, and never one with a start switch. Its DC link stands at about 1.4 times the line volts for minutes after power is off.
safety-drive-wiring-wait-marked = Wait the marked time and measure the link before opening. Ask the maker whether the motor's insulation and its own fan suit a drive, and set a least frequency.
safety-heat-after-airflow-after-any = After any change of airflow: check limits and temperature rise of gas or electric heat, and coils for frost or water carry-over.
safety-heat-after-airflow-before-leaving = Before leaving; by those licensed for the appliance.

## core/rules/supply.py

rules-supply-connection-unsaid-plate-two = The plate has two voltages; which one the motor is wired for was not said
rules-supply-connection-unsaid-has = ; { $read } has{" "}
rules-supply-connection-unsaid-so-taken = , so it is taken as wired for{" "}
rules-supply-connection-unsaid-x = { $sentence }.
rules-supply-connection-unsaid-read-links = Read the links or lead numbers in the terminal box, power off, and say it on Plate.
rules-supply-connection-motor-fed = In { $set } the motor is fed { $voltage } and wired for { $rated_voltage }.
rules-supply-connection-stop-twice = Stop it: twice the volts burn it at once, half the volts within minutes. Rewire it for the volts measured.
rules-supply-two-oh-eight-on-230-motor-runs = In { $set } a motor for { $rated_voltage } runs on { $voltage }: a 208 V supply, at the edge of what it stands.
rules-supply-two-oh-eight-on-230-slips-more = It slips more, starts weaker and runs hotter. Motors marked 208-230 V stand it; this one is marked for one voltage.
rules-supply-high-leg-leg-stands = In { $set } a leg stands at { $voltage } to ground: the high leg of a delta with a grounded middle.
rules-supply-high-leg-phase-v = It is no phase for a 120 V or 208 V motor, and no neutral load may hang on it. Feed single-phase motors from the other two.
rules-supply-unbalance-volts = volts { $name }: { $voltage }
rules-supply-unbalance-line-dead = In { $set } a line is dead: the motor runs on two.
rules-supply-unbalance-leave-off = Leave it off: it burns within minutes. Follow fuse, contact and connection.
rules-supply-unbalance-motor-may = : the motor may give { $derating } of its power
rules-supply-unbalance-line-volts = In { $set } the line volts are { $unbalance } unbalanced{ $derated }.
rules-supply-unbalance-do-run = Do not run it: find the reason in supply or connection.
rules-supply-unbalance-find-reason = Find the reason: a single-phase load on one line, a poor contact, an open delta.
rules-supply-amps-unbalanced-line-amps = In { $set } the line amps differ by { $slip } of their mean.
rules-supply-amps-unbalanced-small-unbalance = A small unbalance of volts makes six to ten times as much of amps; move the leads one place on to tell supply from motor.

## core/rules/windings.py

rules-windings-faults-winding-reads = A winding reads open, or the thermal switch inside is open.
rules-windings-faults-pair-windings = A pair of windings reads as good as nothing: shorted turns, or probes that touched.
rules-windings-faults-highest-three = The highest of three winding resistances is not the sum of the other two.
rules-windings-winding-fault-three-windings = Three windings that should read alike do not.
rules-windings-winding-fault-let-cool = Let it cool for half an hour and read again before it is condemned: a thermal switch closes by itself.
rules-windings-winding-fault-read-once = Read once more with every lead off; the same again condemns the motor.
rules-windings-winding-to-ground-windings-read = The windings read { $ground_resistance } to ground; 1 MΩ is the least.
rules-windings-winding-to-ground-do-energise = Do not energise it. Dry it and test once more, or replace it.

## core/rules/air.py

air-contradictions-alone-drops = In { $set } the { $part } alone drops more than the whole static across the fan.
air-contradictions-capacitor-stands = In { $set } the capacitor stands at less than half the line volts: a running one stands above them.
air-contradictions-start-winding = In { $set } the start winding takes more than twice the line amps.
air-contradictions-discharge-below = In { $set } discharge is below suction: the gauges are exchanged, or the pump runs backwards or not at all.
air-contradictions-running-motor = In { $set } a running motor's shell is colder than the air beside it.
air-not-worked-with = In { $set } { $fields }: { $reason }.
air-stood = In { $set } { $why }.
rules-windings-first-second = first to second{" "}
rules-windings-second-third = second to third{" "}
rules-windings-third-first = third to first{" "}
