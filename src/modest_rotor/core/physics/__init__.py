"""Equations of motors, fans and ducts: floats and arrays in, floats and arrays out."""
