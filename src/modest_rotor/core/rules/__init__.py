"""Judgement: pure functions from a case to a finding or nothing. Physics never judges; rules never integrate."""
