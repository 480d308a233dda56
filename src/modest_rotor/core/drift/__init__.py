"""Drift: a machine's readings over months against its state at sign-off, and what explains their trend."""
