text = { $text }
and = {" "}y{" "}
or = {" "}o{" "}
count = { $number ->
        [0] ninguno
        [1] uno
        [2] dos
        [3] tres
        [4] cuatro
        [5] cinco
        [6] seis
        [7] siete
        [8] ocho
        [9] nueve
        [10] diez
       *[other] { $number }
    }
space = { $first } { $second }
basis-measured = medido
basis-plate = placa
basis-estimated = estimado
basis-assumed = supuesto
basis-worked-out = calculado
basis-typed = escrito
