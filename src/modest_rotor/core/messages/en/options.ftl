
## core/options/answer_steps.py


## core/options/baseline.py

baseline-waits-set = waits for a set of readings to judge
baseline-from-good-set-waits-speed = waits for a speed in { $good }, the set that was right
baseline-from-good-set-waits-two = waits for two meters that were read both in { $good } and in { $now }
baseline-from-good-set-when-right = { $good }, when it was right
baseline-own = waits for volts, amps and speed in { $good }, and for the whole plate
baseline-electronic-waits-what = waits for what the electronic motor holds: torque, airflow or speed; say it on Plate
baseline-electronic-waits-rated = waits for rated power and speed on the plate
baseline-setup-waits-volts = waits for volts
baseline-setup-motor-gives = the motor gives no power at the speed of { $good }: look at speed, hertz and poles
baseline-from-design-waits-set = waits for a set on the full setting, or for one of this tap from when it was right
baseline-from-design-waits-three = waits for three readings: volts, amps, and speed or watts; a set from when it was right tells far more
baseline-from-design-what-plate = what plate and design promise

## core/options/capacitor_drive.py

capacitor-drive-no-torque = the capacitor motor gives too little torque at these hertz
capacitor-drive-as-data = rough: its capacitor fits one frequency only. The fan's part of the watts falls with the cube of speed, the motor's with volts and slip, so its amps fall faster than its hertz
capacitor-drive-traits-motor-controller = This motor, on a controller
capacitor-drive-traits-motor-s = the motor's insulation, the drive's capacitors
capacitor-drive-solve = { $no_torque }; on this machine it ends near { $ends } Hz
capacitor-drive-as-read = as read in { $set }

## core/options/checks/electrical.py

electrical-machine-pumps-fan = It is for pumps; this is a fan.
electrical-machine-fans-pump = It is for fans; this is a pump.
electrical-machine-motor-run = It is for a motor with a run capacitor, which this one has not.
electrical-product = { $product } is none: it cannot stand for this kind.
electrical-volts-measure-volts = Measure the volts here; { $product } is for { $ranges }.
electrical-volts-measured = Measured { $voltage }; it is for { $ranges }.
electrical-volts-set-voltage = Set its voltage selector for { $voltage }: { $voltage_2 } was measured. Check it twice.
electrical-volts-measured-made = { $voltage } measured, made for { $ranges }.
electrical-phases-count-phases = Count the phases at the isolator.
electrical-phases-phase-here = { $here }-phase, as here.
electrical-phases-three-phase = A three-phase drive fed with one phase: see its derating.
electrical-phases-phase-here-there = It is { $phases }-phase; here there { $are } { $here }.
electrical-phases-are = are
electrical-phases-is = is
electrical-hertz-hz-here = { $here } Hz, as here.
electrical-hertz-made-hz = It is made for { $frequency } Hz; here there are { $here }.
electrical-permanent-supply-there-line = Is there line voltage that nothing switches?
electrical-permanent-supply-permanent-supply = A permanent supply is there.
electrical-permanent-supply-permanent-supply-brought = A permanent supply has to be brought: switching the line wears the electronics out.
electrical-command-told-what = It is told by { $words }: what commands the machine now?
electrical-command-told-here = Told by { $there }, as here.
electrical-command-set-once = Set once by its dial.
electrical-command-told-here-there = It is told by { $words }; here there is { $there }. A relay or controller goes between.
electrical-line-on-tap-speed-leads = The speed leads of today carry line volts: cap them, never land one on a tap. A relay makes the call.
electrical-line-on-tap-only-command = The only command here is switched line volts, and its taps take 24 V: bring a permanent supply and a low-voltage command first.
electrical-start-switch-motor-start = A motor with a start switch or start capacitor is never slowed by volts or hertz.
electrical-start-switch-listen-click = Listen for a click as it runs up.
electrical-start-switch-start-switch = No start switch.
electrical-both-makers-both-approvals = Both approvals are recorded: { $approvals }.
electrical-both-makers-keep-papers = keep the papers
electrical-both-makers-approval-maker = Approval of the { $missing } maker is not on record.
electrical-single-phase-drive-drive-made = The drive is made for a single-phase supply.
electrical-single-phase-drive-maker-does = Its maker does not allow one phase.
electrical-single-phase-drive-waits-drive = Waits for the drive's rating.
electrical-single-phase-drive-one-phase = On one phase it gives about { $shaft_power }, the duty asks for { $shaft_power_2 }.
electrical-single-phase-drive-one-phase-gives = On one phase it gives about half its rating, { $shaft_power }: enough here, if its maker agrees.
electrical-drive-control = Take a drive that is made for reluctance motors, and no bypass round it: on the line this motor does not start.
electrical-drive-insulation-insulation-made = Its insulation is made for a drive.
electrical-drive-insulation-take-motor = Take a motor whose insulation is made for a drive.
electrical-drive-insulation-ask-motor = Ask the motor's maker; above 440 V fit a filter unless it is made for a drive.
electrical-cable-how-long = How long are the leads from drive to motor?
electrical-cable-fit-output = { $said }: fit an output filter, or the length that the drive's maker allows.
electrical-cable-short-enough = { $said }, short enough.
electrical-earth-leakage-read-device = Read the device's type off its front.
electrical-earth-leakage-such-device = No such device.
electrical-earth-leakage-type-suits = Type { $device } suits it.
electrical-earth-leakage-type-may = Type { $device } may stay blind: a three-phase rectifier needs type B, a single-phase one type A or F.
electrical-several-motors = A drive does not see one motor among several: each gets an overload of its own.
electrical-shaft-currents = Ground the shaft, or take an insulated bearing; bond motor and drive short and wide.
electrical-harmonics-several-one = Several on one feed: their third harmonics add in the neutral; size it for more than a phase.
electrical-harmonics-one-machine = One machine; more volt-amperes than watts, see its amps.
electrical-code-letter-code-letter = A code letter that the standard does not have.
electrical-code-letter-letter-controller = Letter { $new }; the controller was chosen for { $old }.
electrical-code-letter-letter-draws = Letter { $new } draws more at start than { $old }: the controller is chosen anew.
electrical-protection-overload-fuse = Overload, fuse and breaker are chosen for the new plate, by those licensed to.
electrical-protection-against-near = { $rated_current } against { $rated_current_2 }: near enough to check, not to change.
electrical-protection-place-overload = { $rated_current } in place of { $rated_current_2 }: overload, fuse and breaker are chosen anew, by those licensed to.
electrical-capacitor-compressor-s = {" "}Its compressor's section stays.
electrical-capacitor-discharged-proved = Discharged, proved and taken out of the motor's circuit.{ $shared }
electrical-capacitor-new-one = A new one with the new motor, of the µF on its plate.{ $shared }
electrical-capacitor-same-f = the same µF, a new one all the same
electrical-capacitor-other-f = other µF: the old one does not fit it
electrical-capacitor-x = { $capacitance }, { $words }.{ $shared }

## core/options/checks/mechanical.py

mechanical-rotation-reversible-set = Reversible: set it, and prove it facing the shaft end.
mechanical-rotation-turns-facing = It turns { $rotation } facing the shaft end: and the old one, seen from where?
mechanical-rotation-facing-shaft = { $rotation } facing the shaft end, as now.
mechanical-rotation-turns-facing-shaft = It turns { $rotation } facing the shaft end, the machine needs { $facing_shaft }.
mechanical-frame-frame-read = It is frame { $frame }: read or measure the old one's.
mechanical-frame-frame-now = Frame { $frame }, as now.
mechanical-frame-frame-place = Frame { $frame } in place of { $frame_2 }: compare feet, holes and height.
mechanical-shaft-shaft-measure = Its shaft is { $said }: measure the bore of wheel or coupling.
mechanical-shaft-shaft-bore = Shaft and bore are both { $said }.
mechanical-shaft-bushing = A bushing from { $said } to { $hole }.
mechanical-shaft-shaft-does = Its shaft of { $said } does not go into a bore of { $hole }.
mechanical-built-wheel-sits = The wheel sits on the rotor, outside: no other motor goes into it. Look for the whole fan.
mechanical-built-only-one = Only one with a shaft at both ends, each as long and as thick as now; compare both rotations.
mechanical-shaft-length-long-needed = { $new } long; { $old } is needed. Cut it where it would rub.
mechanical-shaft-length-long-needed-2 = { $new } long; { $old } is needed.
mechanical-keyway-keyed-hub = Keyed, as the hub.
mechanical-keyway-key-set = No key; a set screw on the flat.
mechanical-keyway-hub-keyed = The hub is keyed, its shaft is not: a bushing with a key, or another hub.
mechanical-keyway-shaft-keyed = Its shaft is keyed, the hub is not: leave the key out, and set the screw on a flat.
mechanical-mounting-held-old = It is held by { $mounting }: and the old one?
mechanical-mounting-held-now = Held by { $here }, as now.
mechanical-mounting-held-old-one = It is held by { $mounting }, the old one by { $here }: an adapter.
mechanical-attitude-maker-does = Its maker does not allow the shaft up.
mechanical-attitude-shaft-up = Shaft up: ask its maker, and fit a slinger.
mechanical-attitude-shaft-up-allowed = Shaft up is allowed.
mechanical-attitude-ordinary = { $lies }: ordinary.
mechanical-weather-enclosure-open = Enclosure { $code_ } is open; here it is wet.
mechanical-weather-lowest-drain = Lowest drain open, the others shut; a rain shield over it; leads looped down.
mechanical-weather-enclosure = Which enclosure? { $drains }
mechanical-air-over-needs-machine = It needs the machine's air over it: is it in that air?
mechanical-air-over-machine-s = The machine's air passes over it.
mechanical-air-over-needs-air = It needs air over it, and stands outside the machine's.
mechanical-altitude = { $altitude }: good for { $shaft_power }, asked for { $shaft_power_2 }.
mechanical-load-rated-power = { $share } of its rated power at the hardest step.
mechanical-load-rated-power-inside = { $share } of rated power, inside its service factor of { $factor }: it runs hotter and shorter.
mechanical-load-rated-power-hardest = { $share } of its rated power at the hardest step: take the next size up.
mechanical-top-speed = { $speed } at the fastest step; wheel and bearings stand { $speed_2 }.
mechanical-least-speed = { $speed } at the slowest step; it holds { $speed_2 } and more.
mechanical-blower-constants-taught-blower = It is taught this blower.
mechanical-blower-constants-does-know = It does not know this blower: it would hold another airflow than it says.
mechanical-blower-constants-ask-maker = Ask its maker for the constants of this blower.
mechanical-data-sheet = It states an efficiency of { $stated } %, which no motor has: set its entry right.
mechanical-listing-listing-allows = The listing allows it.
mechanical-listing-appliance-s = The appliance's listing does not allow another kind.
mechanical-listing-machine-part = Is the machine part of a listed appliance? Ask its maker.

## core/options/compare.py

compare-titled = Repaired, same motor
compare-limits-dead-cannot = It is dead: it cannot be kept.
compare-limits-answers = { $question } No, and { $who } answers for it: { $reason }
compare-limits-keeps-protected = Keeps the protected flow.
compare-repair-nothing-put = nothing is repaired yet
compare-repair-saved-repair = Saved by the repair alone

## core/options/contradiction.py

contradiction-nothing-fits = withheld: no motor of this plate shows readings like these at any load. Findings name the likeliest suspect: read that again.
contradiction-withheld = withheld: { $sentence } { $action }
contradiction-turns-too-slowly-turns-less = In { $reference } it turns at less than half of synchronous speed on its full setting, where no such motor runs for long.
contradiction-turns-too-slowly-read-speed = Read the speed again, with one mark, and look at its figures; or say that it ran on a lower setting, a regulator or a drive.
contradiction-impossible-power-shaft-would = In { $reference } the shaft would give { $in_both_units } of { $watts } W taken.
contradiction-impossible-power-read-watts = Read the watts again, with the clamp on one conductor alone, and the speed.
contradiction-impossible-power-load-would = In { $reference } the load would be { $rated } % of the plate's power.
contradiction-impossible-power-read-speed = Read the speed again, with one mark, and look at the plate's power, amps and speed.
contradiction-impossible-power-read-speed-watts = Read speed and watts again; a bare shaft or a slipping wheel explains it too.
contradiction-impossible-power-flow-pressure = In { $reference } flow × pressure makes { $in_both_units }, more than the { $in_both_units_2 } at the shaft.
contradiction-impossible-power-look-again = Look again at flow, pressure and their units, at the plate, and at the watts.

## core/options/demands.py

demands-demand-of-asks-full = { $named } asks for { $share } of full flow: this wheel cannot give that
demands-share-waits-share = waits for share of flow of { $named }
demands-share-waits-share-wanted = waits for the share of the wanted flow of { $named }
demands-share-waits-wanted = waits for the wanted flow (on Readings)
demands-share-waits-flow = waits for the flow of { $named }
demands-share-waits-measured = waits for a measured flow
demands-tap-share-waits-tap = waits for the tap of { $named }
demands-tap-share-waits-flow = waits for the flow of { $named }

## core/options/drive.py

options-drive-one-phase = fed with one phase: its amps peak at { $crest_factor } times, and a three-phase drive gives half its rating
options-drive-waits = waits for the plate: rated power, volts, speed, frequency and phases
options-drive-on-drive-traits-three-phase = Three-phase on a drive
options-drive-solve = the motor on its drive would not carry this flow
options-drive-noted = below a fifth of its speed a motor that cools itself overheats: set a floor

## core/options/effects.py

effects-words-of-pumps-circuit-tighter = circuit tighter
effects-words-of-pumps-circuit-more = circuit more open
effects-source = The fitted motor on the machine's curve and system, solved with one thing changed; sizes of changes our judgement, no source.

## core/options/electronic.py

options-electronic-held = held at the protected flow
options-electronic-flow = airflow typed in
options-electronic-by-speed = EC motor, speed command
options-electronic-noted-needs-torque = needs { $load } % of its torque: take the next size up
options-electronic-noted-above-speed = above the speed that its electronics allow

## core/options/exponent.py


## core/options/fewer_fans.py

fewer-fans-waits = waits for how many fans run side by side (on Duty)
fewer-fans-backflow = a stopped fan lets air back unless its shutter closes
fewer-fans-off-curve = so few fans would run off their curve
fewer-fans-fans-staged-traits = Fans staged
fewer-fans-running = { $count } of { $machines } run

## core/options/fixed_speed.py

fixed-speed-one-speed-traits = EC motor, one speed
fixed-speed-solve-one-speed = its one speed runs off the machine's curve

## core/options/found_machine.py

found-machine-find-machine = waits for what the motor drives: a kind of fan, or a pump
found-machine-unreadable-flow-read = No flow was read. A machine that runs moves something: look again, or leave it empty. It is kept.
found-machine-unreadable-pressure-across = The pressure across the machine reads { $in_both_units }; a running one makes it above zero. Look again at hoses and signs; the readings are kept.
found-machine-unreadable-waits-pressure = waits for a pressure reading: a part of it was said to stay at no flow
found-machine-unreadable-pressure-stays = The pressure that stays at no flow, { $in_both_units }, is not below the { $in_both_units_2 } read while running. Look again at both; the readings are kept.
found-machine-shaft-power-withheld-speed = withheld: the speed read is above synchronous; the Readings ask what could explain it
found-machine-shaft-power-waits-load = waits for a load: watts, or volts with amps or speed, on the full setting
found-machine-speed = waits for a speed: measured, or from the plate

## core/options/keep.py

keep-unsaid = waits for how a part step is met today (on Duty)
keep-which-setting = which setting is enough
keep-traits = Keep it
keep-on-named-tap = waits for a set of readings on the { $tap }
keep-on-low-speed-low-speed = the low speed
keep-on-low-speed-read-plate = not read: from the plate of its low speed
keep-on-tap-waits-set = waits for a set of readings on the lower tap
keep-weighed-tap-gives = no tap gives enough, so it runs full
keep-weighed-near-edge = near the edge of a setting: it and the next are weighed
keep-says-what-it-moves = moves { $moved } % where { $share } % is asked; that flow is part of the saving
keep-tap-point-waits-speed = waits for speed and true watts in { $set }
keep-tap-point-waits-flow = waits for the flow in { $set }: a part of the pressure stays at no flow
keep-tap-point-waits-load = waits for a load in { $set }
keep-tap-point-read = as read in { $set }
keep-throttled-damper-would = the damper would shut beyond the generic curve
keep-throttled-throttled-speed = throttled; its speed taken as unchanged

## core/options/keep_solved.py

keep-solved-tap-assumed = low tap not read: its extra turns are assumed, so the uncertainty is large
keep-solved-tap-unread = a usual low tap would not carry this load: waits for a set of readings on the lower tap
keep-solved-tap-moved = the fitted motor on this tap, on the repaired machine
keep-solved-tap-solved = solved from the fitted motor: speed and watts were not both read on this tap
keep-solved-solved-throttled-damper-would = the damper would shut beyond the generic curve, or the motor would not carry it
keep-solved-solved-throttled-throttled-motor = throttled; the motor finds its speed
keep-solved-solved-tap = the fitted motor would not run on this tap

## core/options/limits.py

limits-of-moves-less = Moves less at { $less }: part of the saving.
limits-of-may-move = At { $step } it may move up to { $shortfall } % less than { $least_words }: protected duty, prove the flow before leaving.
limits-protected-stop = At { $short } it would move less than { $least_words }. This is a protected duty: nothing is worked out for it.

## core/options/money_results.py

money-results-range = Definition; range of a ratio: Fieller, J. Roy. Stat. Soc. B 16 (1954).
money-results-npv = Growing annuity, engineering economics textbooks; NIST Handbook 135.
money-results-cube = Affinity law P ∝ n³ alone, applied to the watts read: what is often promised.
money-results-never = never: no saving is expected
money-results-beyond-all = longer than anything here lasts
money-results-no-speed = not a matter of speed
money-results-one-efficiency = the same: one efficiency is stated
money-results-open-end = A saving of nothing lies within the uncertainty, so there is no upper end.
money-results-known = waits for what it costs fitted
money-results-break-even-result-break-even = Break-even hours
money-results-break-even-result-running-hours = running hours a year
money-results-ranged-cost-fitted = cost fitted: price and labour less rebate
money-results-ranged-typed-within = typed, within 10 %
money-results-worth-result-present-value = Present value
money-results-worth-result-saved-first = saved in the first year
money-results-worth-result-years-counted = years counted
money-results-worth-result-rise-price = rise of the price a year
money-results-worth-result-one-unit = One unit a year is worth { $present_worth_factor } today.
money-results-worth-result-counted-longer = Counted no longer than the machine that it drives has left.
money-results-cube-result-cube-law = By the cube law alone
money-results-cube-result-watts-today = watts of today at full flow
money-results-cube-result-saving-worked = saving worked out here
money-results-why-pressure-stays = { $share } % of the pressure stays at any flow, so slowing saves less.
money-results-why-today-runs = Today it runs full all the same: that is the base.
money-results-why-today-part = Today part flow is met { $part_flow }, which already takes fewer watts.
money-results-why-losses-motor = Losses of motor and electronics do not fall with the cube, and electronics stay awake while it is off.
money-results-why-full-flow = At full flow the new motor itself loses less, which the cube law does not see.
money-results-nominal-result-nominal-efficiency = At nominal efficiency
money-results-nominal-result-saving-between = saving between nominal and guaranteed efficiency
money-results-nominal-result-same-losses = the same, losses at the nominal efficiency
money-results-nominal-result-data-sheet = The data sheet.

## core/options/moved.py

moved-no-point = the motor would find no steady point there
moved-machine = only a motor with a run capacitor gains from a new one

## core/options/option_answer.py

option-answer-put-right = the repaired machine
option-answer-new-same-kind = a new motor of the same kind
option-answer-energy-cost = Energy cost a year
option-answer-saved-year = Saved a year
option-answer-lead-time-once = at once
option-answer-lead-time-van = in the van
option-answer-lead-time-day = a day
option-answer-always-on-if-ran = If it ran only with its calls
option-answer-always-on-if-fan = If the fan ran always
option-answer-always-on-between-calls = Between calls it filters and mixes, and neither heats nor cools; a machine that cannot slow runs on as it is.

## core/options/other_tap.py

other-tap-traits = Another tap of it
other-tap-solve = only a capacitor motor has speed taps

## core/options/own_wheel.py

own-wheel-waits-axes = waits for a measured flow and pressure: another wheel cannot be put on relative axes
own-wheel-no-speed = no speed of the new machine gives this flow at this pressure
own-wheel-external-rotor-fan-traits = External-rotor electronic fan
own-wheel-solve-fan-does = a fan does not replace a pump
own-wheel-solve-circulator-does = a circulator does not replace a fan
own-wheel-solve-set-pressure = set pressure
own-wheel-circulator-speed-traits = Circulator, constant speed
own-wheel-machine = waits for the speed at which the curve of { $product } was taken
own-wheel-table = waits for flow, pressure and shaft power in every row of the curve of { $product }

## core/options/repaired.py

put-right-x = { $repair }: { $value }
put-right-repairs-cannot = The repairs cannot be reckoned: { $why }.
put-right-capacitor-new-run = The new run capacitor waits for the label's µF and for those measured out of circuit.
put-right-capacitor-run-capacitor = The run capacitor reads open: what it takes away while running cannot be told from a motor at rest.
put-right-filter-clean-filter = The clean filter waits for the pressure that it gives back, and for the static at the machine.
put-right-filter-filter-cannot = The filter cannot take { $in_both_units } more than a clean one where the whole system takes { $in_both_units_2 }. Look again at both; they are kept.
put-right-wheel = A wheel that has lost all its pressure moves nothing. Type what it lost.
put-right-belt = A tightened belt is not reckoned ahead: read the machine again once it is tight.
put-right-share = { $ratio } of what it was
put-right-told-now-label = now { $ratio } of its label, then the whole
put-right-told-system-takes = the system takes { $share }
put-right-told-pressure-becomes = its pressure becomes { $share }

## core/options/ranked_causes.py

ranked-causes-source = The fitted motor on its own wheel, solved anew for each cause at several sizes; how common each is, and how far machines stray from the model, are our judgement, no source. One cause at a time: two at once can look like a third.
ranked-causes-measurand = { $measurand } { $plus }{ $seen }, it would make { $plus_expected }{ $expected }

## core/options/ranking.py

ranking-differences-tie = { $first } and { $second } tie
ranking-differences-saves = { $first } saves{" "}
ranking-differences-more = {" "}more than { $second }
ranking-differences-x = { $said }.

## core/options/rating.py

rating-these-losses-electronic = losses of electronic motors
rating-these-losses-electronic-motors = losses of electronic motors below rating
rating-product-facts = waits for power, volts, speed and hertz of { $product }

## core/options/regulator.py

regulator-waits = waits for a fitted capacitor motor: plate and readings
regulator-cannot-hold = cannot hold this speed: the motor would fall to a crawl or run up, so little do its volts steer it
regulator-traits-motor-regulated = This motor, regulated
regulator-traits-motor-runs = the motor, which runs hot where it is turned down far
regulator-solve-line = in the line
regulator-solve-motor = motor at

## core/options/reluctance.py

options-reluctance-too-small = such motors are made from about { $in_both_units } upward
options-reluctance-reluctance-traits-synchronous-reluctance = Synchronous reluctance on a drive

## core/options/same_kind.py

same-kind-overloaded = withheld: at the volts read, a new motor of this plate would not carry the load found
same-kind-traits-same-kind = Same kind, new
same-kind-traits-bearings-run = bearings; the run capacitor in about ten years
same-kind-as-today = its tap taken as the old one's; watts scaled as at full flow
same-kind-on-slip-line = the new motor would run off the generic curve

## core/options/sensitivities.py

sensitivities = { $first }: the uncertainty falls from ± { $figure } to about ± { $figure_2 }.
sensitivities-kind-s-losses = { $motor }'s losses and slip
sensitivities-kind-how-finely = how finely it was read

## core/options/step_working.py

step-working-generic-curve = Generic curve of the kind of wheel: our judgement, no source; moved by the affinity laws, AMCA 201.
step-working-generic-losses = Loss split of IEEE Std 112 reduced to two terms; efficiency and split: our judgement, no source.
step-working-electronic-losses = Losses at rating by class IE4 of IEC 60034-30-1 less electronics, or by the data sheet; their split our judgement, no source.
step-working-reluctance-losses = Motor by class IE4 of IEC 60034-30-1, or by its data sheet; drive by Motor Systems Tip Sheet 11; their split our judgement, no source.
step-working-fitted-motor = Motor fitted to plate and readings; Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6 and 9; typical parameters our judgement, no source.
step-working-own-curve = The product's own table, or else the generic curve of its kind at its best: our judgement, no source.
step-working-read = As read; the meter's accuracy is common practice.
step-working-at-speed = P = P_found × the generic power curve at q and n over that at the point found, P ∝ n³
step-working-formulas-q-found = q as found
step-working-formulas-n-found = n as found
step-working-formulas-p-found = P as found, on Readings
step-working-formulas-w-read = W as read; without a wattmeter { $split }
step-working-formulas-q-share = q = share × q_found
step-working-formulas-n-taken = n taken as unchanged: a damper moves it little
step-working-formulas-w-w = W = W_found + the change of { $split } from P_found to P
step-working-formulas-q-read = q as read on the tap; else where the machine's curve at n meets p = p_0 + k q^m
step-working-formulas-n-read = n as read on the tap
step-working-formulas-p-where = P where the machine's curve at n meets the system, P ∝ n³, on one without a fixed part; else as on Readings
step-working-formulas-w-read-tap = W as read on the tap
step-working-formulas-affinity-laws = Affinity laws, AMCA 201.
step-working-formulas-q-where = q where the machine's curve at n meets p = p_0 + k q^m; its share of that where the step is throttled
step-working-formulas-n-n = n = n_s (1 − s_N (T ÷ T_N)(V_N ÷ V)²), T what the wheel asks at n
step-working-formulas-new-motor = { $split }, η of a new motor
step-working-formulas-q-today = q as on today's tap
step-working-formulas-n-today = n as on today's tap
step-working-formulas-p-today = P as on today's tap
step-working-formulas-w-w-today = W = W today on that tap × W of the new motor ÷ W_found, both at full flow
step-working-formulas-q-where-machine = q where the machine's curve at n meets p = p_0 + k q^m
step-working-formulas-n-new = n at which the new motor's torque, solved by its fields, equals the wheel's
step-working-formulas-w-new = W of the new motor at n, V and f: what its windings, iron and rotor take besides P
step-working-formulas-n-n-found = n = n_found × n of the fitted motor at q ÷ n of it at q_found
step-working-formulas-w-w-found = W = W_found × W of the fitted motor at q ÷ W of it at q_found
step-working-formulas-n-n-found-n = n = n_found × n of the fitted motor on the tap ÷ n of it on the high tap
step-working-formulas-w-w-found-w = W = W_found × W of the fitted motor on the tap ÷ W of it on the high tap
step-working-formulas-q-share-q = q = share × q_found, not below a protected flow
step-working-formulas-n-machine = n at which the machine's curve (q ∝ n, p ∝ n²) meets p = p_0 + k q^m; f = n p ÷ (120 (1 − s))
step-working-formulas-w-w-motor = W = W of the motor at f and V(f), its losses up by 8 %, and the drive's own loss
step-working-formulas-n-machine-s = n at which the machine's curve (q ∝ n, p ∝ n²) meets p = p_0 + k q^m
step-working-formulas-n-machine-s-curve = n at which the machine's curve (q ∝ n, p ∝ n²) meets p = p_0 + k q^m; f = n p ÷ 120, without slip
step-working-formulas-n-p = n at which P ÷ ω is the tap's share of rated torque
step-working-formulas-q-where-machine-s = q where the machine's curve at n meets p = p_0 + k q^m; its share where the step is throttled
step-working-formulas-n-rated = n as rated: it has one
step-working-formulas-n-own = n of its own wheel at which its curve gives q at p_0 + k q^m
step-working-formulas-p-q = P = q p ÷ η of its own wheel at q and n
step-working-formulas-q-share-q-found = q = share × q_found: the valves of the circuit hold it
step-working-formulas-n-curve = n at which its curve gives q at the pressure that it holds
step-working-formulas-n-machine-s-curve-meets = n at which the machine's curve meets p = p_0 + k q^m
step-working-formulas-w-fitted = W of the fitted motor on the volts, or behind the ohms, that give P at n; carried to W_found by ratio at full flow
step-working-formulas-q-where-wheel = q where the wheel's curve at its new speed meets p = p_0 + k q^m; its share where the step is throttled
step-working-formulas-n-n-found-n-fitted = n = n_found × n of the fitted motor on the lighter wheel ÷ n of it today
step-working-formulas-p-p = P = P_found × the generic power curve at q and the wheel's speed, P ∝ n³
step-working-formulas-w-w-found-w-fitted = W = W_found × W of the fitted motor there ÷ W of it today
step-working-formulas-q-where-i = q where i of N curves side by side meet p = p_0 + k q^m; told for each of the N
step-working-formulas-n-n-found-n-fitted-motor = n = n_found × n of the fitted motor with i running ÷ n of it with N
step-working-formulas-p-p-found = P = P_found × the generic power curve at q and n, × i ÷ N
step-working-formulas-w-w-found-w-fitted-motor = W = W_found × W of the fitted motor with i running ÷ W of it with N, × i ÷ N
step-working-step-workings-flow-found = flow as found
step-working-step-workings-speed-found = speed as found
step-working-step-workings-shaft-power = shaft power as found
step-working-step-workings-share-full = share of full flow asked for
step-working-step-workings-pressure-found = pressure as found
step-working-step-workings-part-stays = part of it that stays at no flow
step-working-step-workings-place-point = place of the point found on the generic curve
step-working-input-ingredients-input-power = input power as found
step-working-loss-ingredients-taken-control = taken by the control
step-working-loss-ingredients-loss-torque = loss with torque, at rating
step-working-loss-ingredients-loss-torque-squared = loss with torque squared, at rating
step-working-loss-ingredients-loss-speed = loss with speed, at rating
step-working-loss-ingredients-ln-m = ln m
step-working-loss-ingredients-losses-over = losses over these, as a logarithm
step-working-loss-ingredients-same-far = the same far below rated torque
step-working-plate-speed-speed-found = speed found

## core/options/throttle_out.py

throttle-out-traits = Throttle removed
throttle-out-solve-waits-pressure = waits for the pressure lost at the throttle
throttle-out-solve-throttle-cannot = the throttle cannot take more than the { $in_both_units } that grow with flow
throttle-out-solve-more-flow = more flow than asked for: slow it, or trim the impeller as well

## core/options/torque_taps.py

torque-taps-no-point = no tap finds a steady point on this system
torque-taps-traits = Constant-torque EC motor
torque-taps-solve-taps-tap = tap { $number }
torque-taps-solve-taps-torque = of its torque
torque-taps-on-tap-highest-tap = its highest tap falls short of the protected flow
torque-taps-on-tap-highest-tap-gives = its highest tap gives { $shares } % of full flow: take the next size up

## core/options/traits.py

options-traits-electronics-wear = its electronics, by heat and surges; bearings
options-traits-motor-wears = bearings and run capacitor, of their age

## core/options/wheel_speed.py

wheel-speed-no-point = the slowed wheel finds no point on this system
wheel-speed-just = just enough for the hardest step
wheel-speed-slowed = { $words } { $ratio } % of today's{ $typed }
wheel-speed-re-sheaved-traits-belt-re = Belt re-sheaved
wheel-speed-re-sheaved-traits-belts-now = belts, as now
wheel-speed-solve-wheel = wheel at
wheel-speed-solve-only-pump = only a pump's impeller is trimmed
wheel-speed-solve-impeller = impeller at
wheel-speed-solve-trimmed-below = trimmed below { $most_trim } % its efficiency falls: ask the pump's maker
wheel-speed-trimmed-traits-impeller-trimmed = Impeller trimmed
wheel-speed-trimmed-traits-nothing-more = nothing more than now; the impeller does not grow back
wheel-speed-told = runs at its one speed all the same

## core/options/year.py

options-year-full-step = full flow
options-year-price-waits-waits-summer = waits for the summer price and the share of hours under it
options-year-least-words-flow-found = the flow found
options-year-least-words-documented-least = the documented least
options-year-running-waits-hours-2 = waits for hours of { $named }
options-year-running-waits-watts = waits for the watts of { $named }

## core/options/year_results.py

year-results-generic = Generic curve of the kind of wheel and generic motor losses: our judgement, no source; affinity laws: AMCA 201.
year-results-balance = Energy balance.
year-results-the-base = the baseline
year-results-energy-result-energy-year = Energy a year
year-results-energy-result-input-power = input power, { $asked }
year-results-energy-result-hours = hours, { $asked }
year-results-energy-result-each-step = Each step is solved by itself: the cube of the mean flow is not the mean of the cubes.
year-results-energy-result-hours-between = hours between calls, at its lowest step
year-results-energy-result-runs-between = It runs between calls as well, at its lowest step; starts and standby are none then.
year-results-energy-result-standby-power = standby power of the electronics
year-results-energy-result-hours-off = hours off, supply left on
year-results-energy-result-electronics-taken = The electronics are taken as staying on the supply while the fan is off.
year-results-energy-result-machines-side = machines side by side
year-results-energy-result-all-machines = For all { $machines } machines together.
year-results-energy-result-energy-starts = energy of the starts
year-results-energy-result-starts-counted = The starts are { $share } % of it, and counted: the hours decide, not the starts.
year-results-start-result-waits-starts = waits for starts and their seconds (on Duty)
year-results-start-result-waits-fitted = waits for a fitted motor, or for inrush amps (on Duty)
year-results-start-result-brought-up = Brought up gently by its electronics.
year-results-start-ingredients-watts-today = watts of today's motor while it runs up
year-results-start-ingredients-seconds-start = seconds of a start
year-results-saved-energy-result-energy-saved = Energy saved
year-results-saved-energy-result-energy = energy of { $named }
year-results-saved-energy-result-energy-option = energy of this option
year-results-saved-energy-result-errors-both = Errors that both years share (wattmeter, hours, the machine's curve) fall out of the difference.
year-results-saved-energy-result-baseline-heat = The baseline is { $named }. Heat given to the air or water is not in the saving.
year-results-money-waits = money waits for a measured flow: without it the axes are relative
year-results-emissions-result-emissions-saved = Emissions saved
year-results-emissions-result-waits-emissions = waits for the emissions of the supply (on Duty)
year-results-emissions-result-definition-ghg = Definition; GHG Protocol, scope 2.
year-results-season = waits for the share of hours that is heated or cooled (on Duty)
year-results-heat-results-heat-made = Heat to be made up
year-results-heat-results-cooling-saved = Cooling saved as well
year-results-heat-results-watts-machine = Watts that the machine no longer takes no longer warm what it moves.
year-results-heat-results-heat-longer = heat no longer given
year-results-heat-results-hours-heated = hours in which it is heated
year-results-heat-results-hours-cooled = hours in which it is cooled
year-results-heat-results-cold-per = cold per electricity
year-results-net-money-saved-year = Saved a year, heat and cold counted
year-results-net-money-waits-what = waits for what a kilowatt-hour of heat costs (on Duty)
year-results-net-money-cooling-saved = cooling saved as well
year-results-net-money-heat-made = heat to be made up
year-results-net-money-price-heat = price of heat

## core/options/answer_steps.py


## core/options/checks/electrical.py

electrical-ranges = { $low } to { $high } V
electrical-motors = motor's
electrical-drives = drive's
electrical-both = motor's and the drive's
answer-steps-setting = { $words }, { $setting }
money-results-cube-result-formula = Σ W (1 − share³) h ÷ 1000
electronic-airflow-title = Constant-airflow EC motor
electronic-together-title = Fans slowed together
own-wheel-constant-title = Circulator, constant pressure
own-wheel-proportional-title = Circulator, proportional pressure
