
## core/proof/answer.py

proof-answer-saved-waits-readings = waits for readings after
proof-answer-waits-readings = waits for readings after: a set on the machine as it was set up
proof-answer-both-against = , both against the old motor, repaired
proof-answer-year = waits for hours a year, on Duty
proof-answer-promised = waits for a promise, on Options
proof-answer-asks = set { $number }{ $reading }
proof-answer-part-read-steps-read = { $count } of { $count_2 } steps was read
proof-answer-part-read-steps-read-2 = { $count } of { $count_2 } steps were read
proof-answer-part-read-hours-read = { $count }, { $share_of_hours } of the hours; not read: { $left }
proof-answer-verdict-provable = Not provable: { $why }.
proof-answer-verdict-measured-year = Measured { $told_saved } a year; promised { $told_promised } for the same steps{ $held }
proof-answer-verdict-year = . Of the year { $part }{ $reason }
proof-answer-verdict-measured-uncertainty = { $base }. The measured uncertainty holds nought as well as the promise: these meters cannot tell{ $rest }
proof-answer-verdict-within-uncertainty = { $base }: within the uncertainty, as far as it was read{ $rest }
proof-answer-verdict-kept-promise = : it kept its promise, within its uncertainty
proof-answer-verdict-kept-promise-what = : it kept its promise on what was read, within its uncertainty
proof-answer-verdict-saves-more = { $base }: it saves more than was promised{ $rest }
proof-answer-verdict-falls-short = { $base }: it falls short of its promise{ $rest }
proof-answer-saved-result-energy-definition = Energy by definition; JCGM 100 (GUM) 5.2.2 for what meters share.
proof-answer-saved-result-over-steps = Over the steps that were read after; the hours are those of Duty, with their uncertainty. Standby and starts are counted as promised.
proof-answer-promised-result-option-s = the option's saving, by the share of these steps
proof-answer-comfort-before-after = { $words }{ $before } before, { $after } after.
proof-answer-logged = The logger's { $energy } in { $days } make { $energy_2 } a year if every week is like it; the steps read make { $energy_3 }.

## core/proof/steps.py

proof-steps-step = waits for a set read after on this step
proof-steps-reached-flow-read = flow not read: watts are held against those at the flow asked for
proof-steps-reached-reached-near = reached, as near as this reading tells
proof-steps-reached-missed = missed by { $change }
proof-steps-same-flow-put-right = Repaired machine at the same flow
proof-steps-same-flow-flow-after = flow after
proof-steps-same-flow-w-machine = W of the repaired machine, solved at q
proof-steps-same-flow-machine-found = The machine as found and its motor, solved at this flow as Options does.
proof-steps-system-tighter = tighter
proof-steps-system-freer = freer
proof-steps-system-system-before = The system is { $change } { $word } than before: at one flow the option then takes about { $change_2 }{ $more_shaft }
proof-steps-system-more-shaft = {" "}more at the shaft.
proof-steps-system-shaft = {" "}at the shaft.
proof-steps-air = The air was { $temperature } before and { $temperature_2 } after: the repaired machine’s watts are put to the air of now, { $ratio }{ $change }.
proof-steps-changed-filter-changed = The filter was changed meanwhile: what a clean one gives is the repair's, not the option's. Watts are compared at the same flow.
proof-steps-changed-damper-duct = Damper or duct were changed meanwhile: the saving is held at the flow that was reached, not at that asked for.
proof-steps-changed-another-season = It is another season: colder air is denser, watts and static rise with it, about 1 % for 3 K. Where the air entering was read both times it is corrected; elsewhere it is only said.
proof-steps-watts-result-watts-after = Watts after
proof-steps-watts-result-read-line = as read at the line
proof-steps-watts-result-true-wattmeter = A true wattmeter.
proof-steps-saved-watts-watts-saved = Watts saved at the same flow
proof-steps-saved-watts-put-right = repaired, at the same flow
proof-steps-saved-watts-after = after
proof-steps-saved-watts-jcgm-gum = JCGM 100 (GUM) 5.2.2: what both share of one meter falls out of the difference.

## core/proof/watts.py

watts-these = last digit
watts-paid-watts-amps-alone = amps alone never prove watts on an electronic motor or a drive: read true watts
watts-paid-watts-waits-watts = waits for watts
watts-paid-watts-watts-read = watts were read at the { $point }, not where they are paid for
proof-answer-comfort-cycles = Cycles an hour:{" "}
proof-answer-comfort-humidity = Humidity:{" "}

## core/proof/answer.py

