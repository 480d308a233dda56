"""What standards and handbooks tabulate: looked up as printed, interpolated only where they say so, refused outside."""
