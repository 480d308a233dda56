"""Open formats in which jobs go in and out."""
