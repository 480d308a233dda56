"""The Bench: a motor on a stand that runs in time, the experiments done on it, and why its readings move."""
