"""Devices as the application uses them: links kept open, writes planned and proved, sweeps run, panels watched."""
