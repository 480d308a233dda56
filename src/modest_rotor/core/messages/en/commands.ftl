
## core/commands/candidates.py

candidates-edits-machine-put = The repaired machine is the baseline of every job; it needs no second column.
candidates-edits-cannot-stand = { $product } cannot stand for this kind; nothing was added. Choose another, or none yet.
candidates-edits-option-added = option { $product } added
candidates-refuse-unsuited-machine-put = The repaired machine is the baseline of every job; it needs no second column.
candidates-refuse-unsuited-product-cannot = That product cannot stand for this kind of option; nothing was changed.

## core/commands/fields.py

commands-fields-lists-setting-tried = setting tried
commands-fields-lists-loud-mark = loud mark
commands-fields-lists-pair-sets = pair of sets
commands-fields-first-parts-set-typed = a set to be typed
commands-fields-first-parts-usual-candidates = the usual candidates
commands-fields-first-parts-hours-year = the hours of a year, assumed
commands-fields-edits-added = { $called } { $items } added
commands-fields-edits-removed = { $called } removed
commands-fields-edits-nothing-line = Nothing in the line is sure enough to be written; it is kept. Type it on, or field by field.
commands-fields-edits-plate-line = the plate from its line
commands-fields-edits-row-can = No row can be taken in; the reasons stand beside each.
commands-fields-edits-set-csv = { $sets ->
        [one] { $sets } set from CSV
       *[other] { $sets } sets from CSV
    }
commands-fields-edits-set-read = a set read from the panel
commands-fields-editable = Devices are chosen, not edited; the earlier ones stay.
commands-fields-called = A job has no list called “{ $items }”.

## core/commands/setting_up.py

setting-up-edits-say-first = Say first what the loop is to hold.
setting-up-edits-gains-tried = gains to be tried
setting-up-edits-duty-step = That duty step is not there any more.
setting-up-edits-setting-tried = a setting tried
setting-up-edits-setting-tried-read = a setting tried, read from the panel
setting-up-edits-loud-hz = loud at { $hertz } Hz
setting-up-edits-step-test = a step test, read from the drive
setting-up-edits-loop-watched = the loop watched at the drive
setting-up-edits-no = no { $which }

## core/commands/year.py

commands-year-edits-there-template = There is no template called “{ $building }”.
commands-year-edits-year-assumed = the year of an { $building }, assumed
commands-year-edits-logged-load = logged, load { $load } %
commands-year-edits-logged-running = logged, running
commands-year-edits-year-logger = the year from a logger
commands-year-edits-holds-only = “{ $column }” holds { $kind }: only watts make an energy. Nothing was taken over.
commands-year-edits-days = { $days } days
commands-year-edits-rows = { $column }, { $rows } rows{ $gaps }
commands-year-edits-days-gaps = ; { $gaps } days of gaps left out
commands-year-edits-logger-s = a logger's energy after
commands-year-with-steps = A year has at most { $most_steps } steps; nothing was taken over. Remove one first.
