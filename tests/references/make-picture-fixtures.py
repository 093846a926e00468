#!/usr/bin/env python3
"""Writes fixtures/pictures with Pillow (Debian: python3-pil): one picture of two known colours, seven tenths and three, in forms that the library of the program does not write."""
import pathlib

from PIL import Image, ImageDraw

folder = pathlib.Path(__file__).parent / "fixtures" / "pictures"
folder.mkdir(exist_ok=True)
picture = Image.new("RGB", (200, 100), (34, 68, 102))
ImageDraw.Draw(picture).rectangle((0, 70, 200, 100), fill=(138, 40, 70))
other = Image.new("RGB", (200, 100), (255, 0, 0))
picture.convert("CMYK").save(folder / "cmyk.jpg", quality=95)
picture.save(folder / "animated.png", save_all=True, append_images=[other], duration=100)
picture.save(folder / "animated.webp", save_all=True, append_images=[other], duration=100, lossless=True)
picture.save(folder / "still.gif")
