"""Set-up: the values that a machine is set to, worked out; and the loops that set it."""
