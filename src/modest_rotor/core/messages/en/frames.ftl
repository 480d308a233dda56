### Frames that hold text said elsewhere.

text = { $text }
and = {" "}and{" "}
or = {" "}or{" "}
count = { $number ->
        [0] none
        [1] one
        [2] two
        [3] three
        [4] four
        [5] five
        [6] six
        [7] seven
        [8] eight
        [9] nine
        [10] ten
       *[other] { $number }
    }
space = { $first } { $second }
basis-measured = measured
basis-plate = plate
basis-estimated = estimated
basis-assumed = assumed
basis-worked-out = worked out
basis-typed = typed
