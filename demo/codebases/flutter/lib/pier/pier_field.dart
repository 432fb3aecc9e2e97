import 'package:flutter/material.dart';
import 'pier_colors.dart';

/// A line of text a person writes.
class PierField extends StatelessWidget {
  const PierField({
    super.key,
    required this.caption,
    this.hintText = '',
    this.note = '',
    this.hasError = false,
  });

  final String caption;
  final String hintText;
  final String note;
  final bool hasError;

  @override
  Widget build(BuildContext context) {
    return Column(
      children: [
        Text(caption),
        TextField(decoration: InputDecoration(hintText: hintText)),
        Text(
          note,
          style: TextStyle(
            color: hasError ? PierColors.alarm : PierColors.textSoft,
          ),
        ),
      ],
    );
  }
}
