
## core/setup/answer.py

setup-answer-stopped = { $letter } is stopped: { $stop }
setup-answer-stop-words-step = Step { $number }: { $stop }
setup-answer-stop-words-step-stopped = Step { $number } is stopped by { $who }{ $said }.
setup-answer-not-swept-swept-below = Not swept: below { $hz }, though it may run from { $hz_2 }.
setup-answer-not-swept-swept-above = Not swept: above { $hz }, though it may run up to { $hz_2 }.
setup-answer-mostly-loud = Most of the range is loud: that is no resonance. Look at motor, mounts, coupling and wheel first; nothing is skipped.
setup-answer-sentences-loud-top = Loud at the top, which it cannot skip: highest frequency { $hz } in place of { $hz_2 }.
setup-answer-sentences-loud-bottom = Loud at the bottom, which it cannot skip: lowest frequency { $hz } in place of { $hz_2 }.
setup-answer-sentences-skip = Skip from { $hz } to { $hz_2 }.
setup-answer-sentences-more-bands = More bands than it can skip: two were joined, which gives up { $hz } of quiet.
setup-answer-sentences-loud-skipped = Loud from { $hz } to { $hz_2 } and not skipped: try the volts trim, 5 % down then up, and listen again.

## core/setup/balancing.py

balancing-advise-balancing-loop = A balancing loop needs a flow, a tolerance and a range of settings, all above zero.
balancing-advise-highest-setting = at its highest setting it gives { $target } % of what is wanted
balancing-advise-lowest-setting = at its lowest setting it still gives { $target } % of what is wanted
balancing-stuck-what-wanted = { $target } % of what is wanted
balancing-stuck-highest-setting = at its highest setting it gives { $share }
balancing-stuck-lowest-setting = at its lowest setting it still gives { $share }

## core/setup/command.py

setup-command-signal-for-share-command-goes = A command goes from 0 to 100 % of full speed; { $share } % was asked.
setup-command-signal-for-share-v-lies = { $volts } V lies below the { $off_below_v } V at which it starts to turn; the least that it runs at is { $least } %.

## core/setup/commands.py

commands-answer-stands = as it stands
commands-answer-airflow-typed = airflow typed in: { $wanted }
commands-answer-pressure-set = its pressure set, { $setting }
commands-command-words-dial = dial at { $signal }
commands-command-words-more-full = more than its full speed
commands-command-words-speed = { $signal } of its speed
commands-command-words-more-full-speed = more than its full speed: take the next size up
commands-command-words-speed-2 = { $command_voltage }, { $signal } of its speed
commands-moved = moved from { $output_frequency } to { $output_frequency_2 }: flow { $change }{ $change_2 }
commands-tap-sentence-put-read = Put it on { $tap } and read the flow.
commands-tap-sentence-now-what = Now { $tap }: by what was read it comes nearest.
commands-tap-sentence-inside = { $tap } is inside.
commands-tap-sentence-comes-nearest = { $tap } comes nearest, and is outside: taps are steps. Take it, or another motor.
commands-sentence-set-let = Set { $told }, let it run steady, and read the flow.
commands-sentence-read-wanted = Read { $piece }; wanted { $wanted }. Set { $told } and read again.
commands-sentence-cannot-reached = It cannot be reached: { $reason }. { $why }
commands-sentence-inside-wanted = Inside ± { $tolerance }: { $piece }, wanted { $wanted }.
commands-sentence-reading-cannot = { $within } A reading of ± { $ratio } cannot prove ± { $tolerance }; it does not speak against it.
commands-why-look-limits = Look at limits and skipped bands, at the system, or at another wheel or sheave.
commands-why-look-filter = Look at filter, dampers and duct first; then at the next size of motor or wheel.
commands-held-advice-let-run = Let it run steady, and read the flow.
commands-held-advice-reads-what = it reads { $wanted } % of what is wanted
commands-setting-tap = tap { $tap }
commands-setting-setting-said = setting not said

## core/setup/drive_settings.py

drive-settings-maker = The motor's plate.
drive-settings-frequency-limits-drive-s = the drive's own floor
drive-settings-frequency-limits-motor-cools = the motor cools itself
drive-settings-frequency-limits-pump-turned = a pump turned slower hardly lifts
drive-settings-frequency-limits-run-capacitor = its run capacitor
drive-settings-frequency-limits-protected-flow = the protected flow
drive-settings-frequency-limits-base-frequency = base frequency: above it the motor loses torque and the wheel takes the cube
drive-settings-frequency-limits-drive-s-own = the drive's own top
drive-settings-frequency-limits-wheel-bearings = wheel and bearings
drive-settings-drive-answer-lowest-frequency = Lowest frequency
drive-settings-drive-answer-highest-frequency = Highest frequency
drive-settings-drive-answer-ramp-up = Ramp up
drive-settings-drive-answer-faster-draws = Faster draws more amps; too fast trips.
drive-settings-drive-answer-ramp-down = Ramp down
drive-settings-drive-answer-wheel-slowed = A wheel slowed too fast drives its link's volts up and trips.
drive-settings-volts-per-hertz-volts-per = Volts per hertz
drive-settings-volts-per-hertz-withheld-reluctance = withheld: a reluctance motor is never run on volts per hertz; its drive learns it by itself
drive-settings-volts-per-hertz-waits-rated = waits for rated volts on the motor's plate
drive-settings-volts-per-hertz-withheld-motor = withheld: no motor is made for so low a base frequency; look at the hertz on its plate
drive-settings-volts-per-hertz-base-volts = base volts
drive-settings-volts-per-hertz-base-frequency = base frequency
drive-settings-volts-per-hertz-base-frequency-too = Base frequency too low for the volts saturates the motor; too high starves it.
drive-settings-limit-nearest-limits = the nearest of its limits
drive-settings-limit-set = Set by: { $reason }.
drive-settings-overload-overload-most = Overload, at most
drive-settings-overload-overload-drive = Overload of the drive
drive-settings-overload-waits-full = waits for full-load amps on the plate of the motor that it feeds
drive-settings-overload-drive-limits = A drive limits by itself: set it to the plate of its motor.
drive-settings-overload-i-n = I_N × the code's share
drive-settings-overload-those-licensed = Those licensed choose it.
drive-settings-seconds-usual-wheel = usual for its wheel, or as typed
drive-settings-carrier-hardly-heard = Hardly heard; the drive runs hotter and may give less, the cable must be shorter.
drive-settings-carrier-higher-quieter = Higher is quieter, and warms the drive; lower warms the motor a little and is heard.
drive-settings-carrier-carrier-frequency = Carrier frequency
drive-settings-carrier-usual-typed = usual, or as typed
drive-settings-start-up-starts-lowest = It starts at its lowest frequency.
drive-settings-start-up-every-start = At every start it runs { $ramp } at { $output_frequency } or more, whatever it is told: that is no fault.
drive-settings-shape-volts-follow = Its volts follow the motor, not the hertz: nothing is typed here.
drive-settings-shape-square-few = Square: a few watts less at part speed. A motor that slips heavily on it is set back to straight.
drive-settings-shape-trimmed = , trimmed by { $volts_trim }
drive-settings-shape-straight-fewer = Straight{ $end }: fewer watts at part load, more slip; watch that it carries its hardest hour.
drive-settings-shape-straight-carries = Straight{ $end }: carries its load at every speed.

## core/setup/loop.py

setup-loop-first-first-gain = First gain
setup-loop-first-first-integral = First integral time
setup-loop-first-waits-how = waits for how the value follows
setup-loop-first-withheld = withheld: { $refusal }
setup-loop-first-s-skogestad = S. Skogestad, J. Process Control 13 (2003): closed-loop time equal to the dead time.
setup-loop-first-value-follows = value follows by
setup-loop-first-dead-time = dead time
setup-loop-first-lag = lag
setup-loop-first-t-less = T = the less of τ and 8 θ
setup-loop-following-type-gain = Type gain and integral time as they are set, so that the next ones can be told.
setup-loop-following-gain-stands = Its gain stands at twice the first one already: look at limits, ramp and damper before more of it.
setup-loop-following-crawls-half = It crawls: half as much gain again, and watch once more.
setup-loop-following-so-loop = So a loop should look. Leave it, and write the gains on the panel card.
setup-loop-following-time-one = Time one whole swing, from top to top, so that the next gains can be told.
setup-loop-following-hunts-put = It hunts: put it in hand, set these, close it again. Gain ÷ 3.2, integral 2.2 swings.
setup-loop-following-too-lively = It is too lively: half the gain, and an integral time of a swing or more.

## core/setup/loop_process.py

loop-process-set-point-of-type = type it
loop-process-set-point-of-waits-static = waits for a static read across the machine, or type it
loop-process-set-point-of-p-s = p_s = share × p
loop-process-set-point-of-total-external = total external static at full flow
loop-process-set-point-of-left-sensor = left at the sensor
loop-process-set-point-of-what-sensor = What the sensor reads when every outlet has its air; lower it until the farthest one just has enough.
loop-process-process-of-range-each = % of the range for each % of command
loop-process-process-of-waits-sensor = waits for the sensor’s range
loop-process-process-of-share-range = share of its range a second, for full command
loop-process-process-of-range-each-command = % of its range for each % of command
loop-process-process-of-slope-value = slope of the value at the fullest step ÷ range
loop-process-process-of-curve-duct = Curve and duct as fitted; lags our judgement, no source: a step test tells them.
loop-process-from-step-withheld-command = withheld: the command was moved by less than 3 % of full; take a larger step
loop-process-from-step-withheld-level = withheld: a level has no end to go to; leave the step empty and give the tank’s surface
loop-process-from-step-withheld-value = withheld: the value moved by less than 3 % of the range; take a larger step, or a sensor of less range
loop-process-from-step-withheld = withheld: { $refusal }
loop-process-from-step-v-v = (v₂ − v₁) ÷ range ÷ ((c₂ − c₁) ÷ full)
loop-process-from-step-value-before = value before
loop-process-from-step-value-after = value after
loop-process-from-step-command-before = command before
loop-process-from-step-command-after = command after
loop-process-from-step-textbook-process = Textbook process reaction curve.
loop-process-from-step-range-each = % of the range for each % of command.
loop-process-slope-waits-step = waits for a step test: a room’s answer cannot be worked out
loop-process-slope-waits-command = waits for a command in Options
loop-process-slope-waits-surface = waits for the surface of the tank
loop-process-slope-waits-what = waits for what more speed does to it
loop-process-slope-waits-flow = waits for a flow that was read
loop-process-slope-waits-static = waits for a static read across the machine, or for a step test

## core/setup/loop_words.py

loop-words-direction-of-say-what = say what more speed does to it: the loop runs away the wrong way round
loop-words-direction-of-reverse-acting = Reverse acting: below its set point it speeds up, because more speed raises the value.
loop-words-direction-of-direct-acting = Direct acting: above its set point it speeds up, because more speed lowers the value.
loop-words-loop-sentences-duty-reckons = Duty reckons with { $known } that stays at no flow; this loop holds { $figure }. Type it on Duty, or the saving at part flow is told too high.
loop-words-loop-sentences-more-sensor = More than the { $figure } that the sensor reads at full flow: it will run at full speed and never get there.
loop-words-loop-sentences-unit-whole = At the unit the whole duct’s pressure is held at every flow. Two thirds along saves more.
loop-words-loop-sentences-read-total = Read total external static and the static at the sensor at once, at full flow: the share here is only usual.
loop-words-watch-words-hunting-speed = Hunting is a speed that swings up and down by itself with the same beat, heard at the wheel and seen on the clamp. A damper or valve that another loop moves can do the same: put that one in hand before this gain is blamed.
loop-words-watch-words-ramp-far = The ramp is far slower than the loop, which hunts by it: a shorter ramp, or a longer integral time.
loop-words-failure-words-full-speed = full speed
loop-words-failure-words-lowest-speed = its lowest speed
loop-words-failure-words-sensor-fails = A sensor that fails at nought sends this loop to { $end }: know what duct, pipe or coil bears there. Pull its wire and see.
loop-words-failure-words-duty-protected = The duty is protected: a failed sensor must not stop it. Let it go to a set speed.
loop-words-failure-words-stays-speed = It stays at the speed of the moment, right or wrong, until somebody comes: let it alarm as well.
loop-words-restart-words-starts-itself = It starts by itself when power comes back: a notice at the machine, and nobody at the wheel.
loop-words-restart-words-duty-protected = The duty is protected: after a power cut it stands until somebody comes. Is that meant?
loop-words-loop-stop-step-test = The step test went the other way than this kind does: hoses or wires of the sensor are crossed, or the direction is wrong. Closed like this it runs away to an end.
loop-words-loop-stop-set-point = The set point lies above the sensor’s range: the loop would run at an end for good.

## core/setup/plate_loop.py

plate-loop-plate-advice-open-plate = Open the plate until { $told }; fix it, let it run steady, and read.
plate-loop-plate-advice-read-wanted = Read { $figure }; wanted { $wanted }.{" "}
plate-loop-plate-advice-reading-s = {" "}The reading's own error is wider than the tolerance: it does not prove it, nor speak against it.
plate-loop-plate-advice-inside-fix = Inside: fix the plate, tape its edge, and read once more, since taping moves it.{ $rest }
plate-loop-plate-advice-close-plate = { $read }Close the plate until { $told }; fix it, and read again.
plate-loop-plate-advice-open-further = { $read }Open it further until { $told }; where it stands wide open, say so on this reading.
plate-loop-aimed-flow = the flow is { $wanted }
plate-loop-aimed-chart-amps = {" "}(on this chart amps fall as air rises)
plate-loop-aimed-clamp-reads = the clamp reads { $current } at { $voltage }{ $way }
plate-loop-wide-open-stands-wide = It stands wide open. Take the duct off at the unit, hands clear of the wheel, and read volts and amps as a reading of its own: do the amps climb?
plate-loop-wide-open-from-to = {" "}from { $current } to { $current_2 }
plate-loop-wide-open-cannot-reached = { $read }It cannot be reached: the amps climb{ $climbs } with the duct off, so the duct is too tight. Look at filter, dampers, registers and its size.
plate-loop-wide-open-capacitor-then = capacitor, then volts, then bearings
plate-loop-wide-open-volts-then = volts, then bearings and wheel
plate-loop-wide-open-pump = pump
plate-loop-wide-open-motor = motor
plate-loop-wide-open-cannot-reached-amps = { $read }It cannot be reached, and the amps do not climb{ $climbs } with the duct off: the duct is not it. On the { $what }'s side look at { $first }.

## core/setup/steps.py

setup-steps-refusal-to-sign-stop-stands = A stop stands on this step; it is cleared by its cause.
setup-steps-refusal-to-sign-stop-stands-step = A stop stands on this step; it is cleared by its cause, not by a signature.
setup-steps-refusal-to-sign-step-signed = This step { $waits }; it is signed after that.
setup-steps-refusal-to-sign-first-step = First { $words }: this step rests on { $it }.
setup-steps-refusal-to-sign-it = it
setup-steps-refusal-to-sign-them = them
setup-steps-refusal-to-sign-stop-stands-step-nothing = A stop stands on step { $number }; nothing is signed past it until its cause is cleared.
setup-steps-never-left-out-voltage-selector = The voltage selector is confirmed on every new motor; nobody can leave it out.
setup-steps-never-left-out-proved-dead = It is proved dead before any hand goes in; nobody can leave it out.
setup-steps-never-left-out-isolated-before = It is isolated before any hand goes in; nobody can leave it out.
setup-steps-never-left-out-signed-once = It is signed once power was put on; a step that was not done stays open.
setup-steps-number-words-step = step { $number }{ $signed_before }
setup-steps-number-words-signed-before = , signed before and to be signed anew,
setup-steps-gains-wait-waits-gain = waits for gain and integral time as they are set
setup-steps-watch-waits-waits-gains = waits for gains at which it stands still
setup-steps-loop-waits-waits-what = waits for what it does when its sensor fails
setup-steps-loop-waits-waits-what-does = waits for what it does after a power cut
setup-steps-stop-reluctance-motor = A reluctance motor falls out of step on { $mode }: set the drive's own mode for it.
setup-steps-stop-drive-s = drive's output
setup-steps-stop-bypass = bypass
setup-steps-stop-turns-wrong = It turns the wrong way from the { $where }: isolate, change two of its three leads there, prove it again.
setup-steps-value-dc-link = a DC link stands at about { $volts } at the line volts read here
setup-steps-value-drive-most = { $figure } on the drive, at most { $figure_2 } at an overload relay
setup-steps-value-rise-allowed = rise allowed { $temperature_difference }
setup-steps-first-gains-set-point = {" "}Set point{" "}
setup-steps-first-gains-gain = {" "}Gain{" "}
setup-steps-first-gains-integral-time = , integral time{" "}
setup-steps-new-capacitor-label-new = by the label of the new motor, not by that of the old one
setup-steps-new-capacitor-data-sheet = { $said } by its data sheet; the tolerance by its label
setup-steps-new-capacitor-least = , at least{" "}
setup-steps-new-capacitor-today-s = { $said } by today's plate: compare with the new motor's own label
setup-steps-the-other-way = Wrong way: { $find_row }
setup-steps-overload-full-load = by the full-load amps on the plate of the new motor, in the connection that is used
setup-steps-overload-new-plate = the new plate
setup-steps-overload-plate = the plate
setup-steps-overload-connection = for { $rated_current }, { $whose } in its connection for { $rated_voltage }
setup-steps-aim-opening-plate = opening the plate raises amps
setup-steps-aim-opening-plate-lowers = opening the plate lowers amps on this chart
setup-steps-aim-aim = aim at { $current } at { $voltage }: { $way }

## core/setup/sweep.py

sweep-frequencies = A sweep goes up: from { $low } to { $high } Hz in steps of { $step } Hz it has nowhere to go.
sweep-ends-moved = Between the loud ends nothing quiet is left. Look at the motor, its mounts and its wheel first.

## core/setup/trial_flow.py

trial-flow-flow-of = no flow read yet
trial-flow-by-static-static-tells = static tells a flow only where one flow and its static were read before
trial-flow-by-static-static-read = the static read is not above the pressure that stays at no flow
trial-flow-by-static-static-duct = by static, on the duct's own curve
trial-flow-by-rise-rise-tells = a rise tells a flow with the heat output, on Readings
trial-flow-by-rise-temperature-rise = by temperature rise
trial-flow-by-amps-amps-tell = amps tell a flow only by the machine's amps chart, of the motor that the chart was made for
trial-flow-by-amps-amps-chart = by the amps chart

## core/setup/volts.py

volts-selector-answer-waits-volts = waits for the volts measured at this machine
volts-selector-answer-waits-what = waits for what voltage selector or tap is set for
volts-selector-answer-waits-same = waits for the same volts, measured and typed once more
volts-selector-answer-two-measurements = The two measurements differ: { $voltage } and{" "}
volts-selector-answer-measure-again = . Measure again before power.
volts-mismatch = The voltage selector is set for { $rated_voltage }; measured here: { $voltage }. Do not put power on: the wrong volts destroy the motor. Nobody can waive this.
